import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { RefObject } from 'react';
import type { AccountInfo } from '../../contract/api';
import { Conditions } from '../shared/conditions/Conditions';
import { PlaceBar } from '../shared/window/PlaceBar';
import type { WindowState } from '../shared/window/windowState';
import type { LoadedLens } from '../../plans/field';
import { FieldSentence } from './FieldSentence';
import { fieldsOffered } from './fieldsOffered';
import { LensBar } from './LensBar';
import { SwathMenu } from './swaths/SwathMenu';
import type { FieldState } from './useFieldState';
import type { useLensRows } from './useLensRows';

type Opened = 'condition' | 'swaths' | 'columns' | null;

interface FieldHeadProps {
  account: AccountInfo;
  window: WindowState;
  state: FieldState;
  loaded: LoadedLens;
  view: ReturnType<typeof useLensRows>;
  open: Opened;
  onOpen: (open: Opened) => void;
  columnsButton: RefObject<HTMLButtonElement | null>;
  onCopy: () => void;
  onSave: (format: 'csv' | 'xlsx') => void;
}

/** Above the picture: lenses, what the rows come to, conditions, and what can be done with all rows. */
export function FieldHead(props: FieldHeadProps) {
  const { account, window, state, loaded, view, open, onOpen, columnsButton, onCopy, onSave } = props;
  const { arranged, area, shown, brush } = view;
  return (
    <div>
      <LensBar state={state} path={arranged?.path ?? []} />
      <div className="head">
        <FieldSentence arranged={arranged} loaded={loaded} account={account} />
        <PlaceBar account={account} window={window} />
      </div>
      <Conditions
        fields={fieldsOffered(state.lens)}
        conditions={state.stack}
        onChange={state.setStack}
        isAdding={open === 'condition'}
        onAdding={(isAdding) => onOpen(isAdding ? 'condition' : null)}
        brushed={area ? shown.length : null}
        onClearBrush={brush.end}
        before={
          <SwathMenu
            account={account.id}
            state={state}
            isOpen={open === 'swaths'}
            onOpen={(isOpen) => onOpen(isOpen ? 'swaths' : null)}
          />
        }
        after={
          <Box component="span" sx={{ marginLeft: 'auto', whiteSpace: 'nowrap' }}>
            <Button ref={columnsButton} onClick={() => onOpen('columns')} title="Choose columns (o)">
              Columns
            </Button>
            <Button onClick={onCopy} title="Copy the rows (Ctrl C)">
              Copy
            </Button>
            <Button onClick={() => onSave('csv')}>CSV</Button>
            <Button onClick={() => onSave('xlsx')}>XLSX</Button>
          </Box>
        }
      />
    </div>
  );
}
