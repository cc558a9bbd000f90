import PersonOutline from '@mui/icons-material/PersonOutlineOutlined';
import IconButton from '@mui/material/IconButton';
import MuiMenu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Tooltip from '@mui/material/Tooltip';
import { useState } from 'react';
import { goTo } from '../frame/pages';
import { api } from '../api';
import { useTell } from '../useTell';
import { toSignIn } from './toSignIn';
import { useMe } from './useMe';

/** Who is signed in, and the way out; nothing where nobody signs in. */
export function PersonMenu({ account }: { account: number | undefined }) {
  const me = useMe();
  const tell = useTell();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (!me) return null;
  const leave = async () => {
    try {
      await api.signOut();
      toSignIn();
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
  };
  return (
    <>
      <Tooltip title={me.name}>
        <IconButton
          aria-label={`Signed in as ${me.name}`}
          aria-haspopup="menu"
          onClick={({ currentTarget }) => setAnchor(currentTarget)}
        >
          <PersonOutline fontSize="small" />
        </IconButton>
      </Tooltip>
      <MuiMenu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        transitionDuration={0}
      >
        <MenuItem disabled>
          {me.name} · {me.email}
        </MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            // Outside the places of an account, another page has to come.
            if (account === undefined) location.assign('/setup?part=people');
            else goTo('setup', account, 'people');
          }}
        >
          Your sign-in and people
        </MenuItem>
        <MenuItem onClick={() => void leave()}>Sign out</MenuItem>
      </MuiMenu>
    </>
  );
}
