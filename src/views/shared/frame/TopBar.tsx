import Brightness6 from '@mui/icons-material/Brightness6Outlined';
import HelpOutline from '@mui/icons-material/HelpOutlineOutlined';
import Menu from '@mui/icons-material/Menu';
import Search from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MuiMenu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import { useColorScheme } from '@mui/material/styles';
import { useState } from 'react';
import { Link } from 'wouter';
import { navigate } from 'wouter/use-browser-location';
import { formatCount } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import type { TrayState } from '../tray/useTray';
import { useNewData } from '../revision';
import { PersonMenu } from '../people/PersonMenu';
import { PAGES, goTo, pageLink } from './pages';
import type { PageName } from './pages';
import { Choice } from '../kit';

interface TopBarProps {
  place: PageName;
  accounts: AccountInfo[];
  account: AccountInfo | undefined;
  tray: TrayState;
  onTray: () => void;
  onHelp: () => void;
  onFind: () => void;
}

/** Mark, account, places, find, tray, help: the same in every place. */
export function TopBar({ place, accounts, account, tray, onTray, onHelp, onFind }: TopBarProps) {
  const newData = useNewData(account);
  return (
    <header className="topBar">
      {accounts.length > 1 ? (
        // A page of its own, beside the places of an account.
        <a href="/accounts" className="mark" title="All accounts">
          Mowing
        </a>
      ) : (
        <Link href={pageLink('round', account?.id)} className="mark">
          Mowing
        </Link>
      )}
      {accounts.length > 0 && (
        <Choice
          label="Account"
          value={account?.id ?? ''}
          placeholder="Choose an account"
          width={150}
          onChange={(id) => navigate(pageLink(place, Number(id)))}
        >
          {accounts.map(({ id, name }) => [id, name] as const)}
        </Choice>
      )}
      {account && !account.rights.includes('decide') && (
        <span
          className="faint small"
          title={`Your role on ${account.name} sees everything and changes nothing`}
        >
          you read here
        </span>
      )}
      <PlacesMenu place={place} account={account} />
      <nav aria-label="Places" className="places">
        {PAGES.map(({ name, label, key }) => (
          <Link
            key={name}
            href={pageLink(name, account?.id)}
            title={`Go to ${label} (g ${key})`}
            aria-current={name === place ? 'page' : undefined}
          >
            {label}
          </Link>
        ))}
      </nav>
      <span className="room" />
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
      <Button
        className="find"
        variant="outlined"
        onClick={onFind}
        startIcon={<Search />}
        title="Find or do anything (Ctrl K)"
      >
        Find or do
      </Button>
      <Button
        variant={tray.count > 0 ? 'contained' : 'outlined'}
        onClick={onTray}
        title="Open or close the tray (t)"
        sx={{ flexShrink: 0 }}
      >
        Tray · {formatCount(tray.count)}
      </Button>
      <PersonMenu account={account?.id} />
      <ThemeSwitch />
      <Tooltip title="Keys and guide (?)">
        <IconButton aria-label="Keys and guide" onClick={onHelp}>
          <HelpOutline fontSize="small" />
        </IconButton>
      </Tooltip>
    </header>
  );
}

/** The places where the bar is too narrow for their names. */
function PlacesMenu({ place, account }: Pick<TopBarProps, 'place' | 'account'>) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { label } = PAGES.find(({ name }) => name === place)!;
  return (
    <Box className="placesMenu">
      <Button
        startIcon={<Menu />}
        aria-haspopup="menu"
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        {label}
      </Button>
      <MuiMenu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        transitionDuration={0}
      >
        {PAGES.map(({ name, label: words, key }) => (
          <MenuItem
            key={name}
            selected={name === place}
            onClick={() => {
              setAnchor(null);
              goTo(name, account?.id);
            }}
          >
            <span className="room">{words}</span>
            <kbd>g {key}</kbd>
          </MenuItem>
        ))}
      </MuiMenu>
    </Box>
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
