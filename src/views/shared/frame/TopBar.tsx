import Brightness6 from '@mui/icons-material/Brightness6Outlined';
import HelpOutline from '@mui/icons-material/HelpOutlineOutlined';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import Tooltip from '@mui/material/Tooltip';
import { useColorScheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { TrayState } from '../tray/useTray';
import { useNewData } from '../revision';
import { PAGES, pageLink } from './pages';
import type { PageName } from './pages';

interface TopBarProps {
  place: PageName;
  accounts: AccountInfo[];
  account: AccountInfo | undefined;
  tray: TrayState;
  onTray: () => void;
  onHelp: () => void;
  onFind: () => void;
  children?: ReactNode;
}

export function TopBar({ place, accounts, account, tray, onTray, onHelp, onFind, children }: TopBarProps) {
  const newData = useNewData(account);
  return (
    <header
      style={{
        display: 'flex',
        alignItems: 'center',
        gap: 14,
        padding: '0 16px',
        borderBottom: '1px solid var(--hairline)',
        minWidth: 0,
      }}
    >
      <a
        href={pageLink('round', account?.id)}
        className="serif"
        style={{ fontSize: 20, fontWeight: 600, color: 'var(--ink)', textDecoration: 'none' }}
      >
        Mowing
      </a>
      {accounts.length > 0 && (
        <Select
          variant="standard"
          disableUnderline
          value={account?.id ?? ''}
          onChange={(event) => location.assign(pageLink(place, Number(event.target.value)))}
          inputProps={{ 'aria-label': 'Account' }}
          sx={{ fontSize: 13, maxWidth: 170 }}
        >
          {accounts.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </Select>
      )}
      <nav aria-label="Places" style={{ display: 'flex', gap: 14, flexShrink: 0 }}>
        {PAGES.map(({ name, label, key }) => (
          <a
            key={name}
            href={pageLink(name, account?.id)}
            title={`g ${key}`}
            aria-current={name === place ? 'page' : undefined}
            style={{
              color: name === place ? 'var(--ink)' : 'var(--faint)',
              fontWeight: name === place ? 650 : 400,
              textDecoration: 'none',
              borderBottom: `2px solid ${name === place ? 'var(--accent)' : 'transparent'}`,
              padding: '4px 0',
              fontSize: 14,
            }}
          >
            {label}
          </a>
        ))}
      </nav>
      <div
        style={{
          flex: 1,
          display: 'flex',
          justifyContent: 'flex-end',
          alignItems: 'center',
          gap: 8,
          minWidth: 0,
        }}
      >
        {children}
      </div>
      {newData.isNewer && (
        <Button
          variant="outlined"
          onClick={() => void newData.takeOver()}
          sx={{ flexShrink: 0 }}
          title="Figures, campaigns or bids are newer than what is shown"
        >
          New data · take over
        </Button>
      )}
      <button type="button" className="find" onClick={onFind} title="Ctrl K">
        Find or do <kbd>Ctrl K</kbd>
      </button>
      <Button
        variant={tray.changes.length > 0 ? 'contained' : 'outlined'}
        onClick={onTray}
        title="t"
        sx={{ flexShrink: 0 }}
      >
        Tray · {tray.changes.length}
      </Button>
      <ThemeSwitch />
      <Tooltip title="Keys (?)">
        <IconButton aria-label="Keys" onClick={onHelp}>
          <HelpOutline fontSize="small" />
        </IconButton>
      </Tooltip>
    </header>
  );
}

function ThemeSwitch() {
  const { colorScheme, setMode } = useColorScheme();
  const next = colorScheme === 'dark' ? 'light' : 'dark';
  return (
    <Tooltip title={next === 'dark' ? 'Dusk' : 'Daylight'}>
      <IconButton aria-label="Change between daylight and dusk" onClick={() => setMode(next)}>
        <Brightness6 fontSize="small" />
      </IconButton>
    </Tooltip>
  );
}
