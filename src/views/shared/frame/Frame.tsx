import { useState } from 'react';
import type { ReactNode } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { useKeys } from '../useKeys';
import type { KeyMap } from '../useKeys';
import { useTray } from '../tray/useTray';
import type { TrayState } from '../tray/useTray';
import { FindOrDo } from './FindOrDo';
import type { Action } from './FindOrDo';
import { KeysHelp } from './KeysHelp';
import type { KeyLine } from './KeysHelp';
import { TopBar } from './TopBar';
import { Tray } from '../tray/Tray';
import { PARTS, PAGES, goTo } from './pages';
import type { PageName } from './pages';

interface FrameProps {
  place: PageName;
  accounts: AccountInfo[];
  account: AccountInfo | undefined;
  /** What the place adds to the top bar: its window, its target. */
  bar?: ReactNode;
  /** The place's own keys, shown in the help. */
  keys?: KeyLine[];
  /** What can be done at the place, for "find or do". */
  actions?: Action[];
  children: (tray: TrayState) => ReactNode;
}

const NO_ACTIONS: Action[] = [];

/** Top bar, place, tray: the same bands at the same places everywhere. */
export function Frame({
  place,
  accounts,
  account,
  bar,
  keys = [],
  actions = NO_ACTIONS,
  children,
}: FrameProps) {
  const tray = useTray(account?.id);
  const [isTrayOpen, openTray] = useState(false);
  const [isHelpOpen, openHelp] = useState(false);
  const [isFindOpen, openFind] = useState(false);
  const always: Action[] = [
    ...PAGES.map(({ name, label, key }) => ({
      label: `Go to ${label}`,
      keys: `g ${key}`,
      run: () => goTo(name, account?.id),
    })),
    ...PARTS.map(({ page: of, part, label }) => ({
      label: `Go to ${label}`,
      keys: '',
      run: () => goTo(of, account?.id, part),
    })),
    { label: 'Open the tray', keys: 't', run: () => openTray(true) },
    { label: 'Show the keys', keys: '?', run: () => openHelp(true) },
  ];
  const going: KeyMap = Object.fromEntries(
    PAGES.map(({ name, key }) => [`g ${key}`, () => goTo(name, account?.id)]),
  );
  useKeys({
    ...going,
    t: () => openTray(!isTrayOpen),
    '?': () => openHelp(true),
    'ctrl+k': () => openFind(true),
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
        onFind={() => openFind(true)}
      >
        {bar}
      </TopBar>
      {children(tray)}
      <Tray tray={tray} account={account} isOpen={isTrayOpen} onOpen={openTray} />
      <FindOrDo
        isOpen={isFindOpen}
        onClose={() => openFind(false)}
        account={account}
        actions={[...actions, ...always]}
      />
      <KeysHelp isOpen={isHelpOpen} onClose={() => openHelp(false)} own={keys} />
    </div>
  );
}
