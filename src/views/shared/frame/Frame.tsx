import { useState } from 'react';
import type { ReactNode } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { useKeys } from '../useKeys';
import type { KeyMap } from '../useKeys';
import { useTray } from '../useTray';
import type { TrayState } from '../useTray';
import { KeysHelp } from './KeysHelp';
import type { KeyLine } from './KeysHelp';
import { TopBar } from './TopBar';
import { Tray } from './Tray';
import { PLACES, goTo } from './places';
import type { PlaceName } from './places';

interface FrameProps {
  place: PlaceName;
  accounts: AccountInfo[];
  account: AccountInfo | undefined;
  /** What the place adds to the top bar: its window, its target. */
  bar?: ReactNode;
  /** The place's own keys, shown in the help. */
  keys?: KeyLine[];
  children: (tray: TrayState) => ReactNode;
}

/** Top bar, place, tray: the same bands at the same places everywhere. */
export function Frame({ place, accounts, account, bar, keys = [], children }: FrameProps) {
  const tray = useTray(account?.id);
  const [isTrayOpen, openTray] = useState(false);
  const [isHelpOpen, openHelp] = useState(false);
  const going: KeyMap = Object.fromEntries(
    PLACES.map(({ name, key }) => [`g ${key}`, () => goTo(name, account?.id)]),
  );
  useKeys({
    ...going,
    t: () => openTray(!isTrayOpen),
    '?': () => openHelp(true),
    escape: () => openTray(false),
  });
  return (
    <div style={{ display: 'grid', gridTemplateRows: '48px minmax(0, 1fr) auto', height: '100vh' }}>
      <TopBar
        place={place}
        accounts={accounts}
        account={account}
        tray={tray}
        onTray={() => openTray(!isTrayOpen)}
        onHelp={() => openHelp(true)}
      >
        {bar}
      </TopBar>
      {children(tray)}
      <Tray tray={tray} account={account} isOpen={isTrayOpen} onOpen={openTray} />
      <KeysHelp isOpen={isHelpOpen} onClose={() => openHelp(false)} own={keys} />
    </div>
  );
}
