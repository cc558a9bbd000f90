import Button from '@mui/material/Button';
import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useTell } from '../useTell';
import { useRef, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { FileDifferences } from '../../../contract/changes';
import { api } from '../api';
import { FilePick } from '../kit';
import { ReadBackDialog } from './ReadBackDialog';
import type { TrayState } from './useTray';

const FORMATS = ['csv', 'xlsx', 'json'] as const;

/** The change file: out in three formats, and back in after it was edited elsewhere. */
export function ChangeFileMenu({ account, tray }: { account: AccountInfo; tray: TrayState }) {
  const anchor = useRef<HTMLButtonElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const [isOpen, setOpen] = useState(false);
  const [read, setRead] = useState<{ name: string; differences: FileDifferences } | null>(null);
  const tell = useTell();
  const take = async (file: File) => {
    try {
      setRead({ name: file.name, differences: await api.readChangeFile(account.id, file) });
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
  };
  return (
    <>
      <Button ref={anchor} onClick={() => setOpen(true)} aria-haspopup="menu">
        Change file
      </Button>
      <Menu open={isOpen} anchorEl={anchor.current} onClose={() => setOpen(false)}>
        {FORMATS.map((format) => (
          <MenuItem
            key={format}
            component="a"
            href={`/api/changes/file?account=${account.id}&format=${format}`}
            onClick={() => setOpen(false)}
          >
            Save as {format.toUpperCase()}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setOpen(false);
            input.current?.click();
          }}
        >
          <ListItemText secondary="values edited in a spreadsheet; you see them before they count">
            Read an edited file back …
          </ListItemText>
        </MenuItem>
      </Menu>
      <FilePick
        inputRef={input}
        label="Edited change file"
        accept=".csv,.tsv,.txt,.xlsx,.json"
        onFile={(file) => void take(file)}
      />
      {read && (
        <ReadBackDialog
          name={read.name}
          differences={read.differences}
          currency={account.currency}
          tray={tray}
          onClose={() => setRead(null)}
        />
      )}
    </>
  );
}
