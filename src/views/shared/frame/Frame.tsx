import Box from '@mui/material/Box';
import { Suspense, lazy, useContext, useState } from 'react';
import type { ReactNode } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { useKeys } from '../useKeys';
import type { KeyMap } from '../useKeys';
import type { TrayState } from '../tray/useTray';
import type { Action } from './FindOrDo';
import { KeysHelp } from './KeysHelp';
import { MachineWarning } from './MachineWarning';
import { MoneyWarning } from './MoneyWarning';
import { NightLine } from './NightLine';
import { RulesWarning } from './RulesWarning';
import { TopBar } from './TopBar';
import { Tray } from '../tray/Tray';
import { PARTS, PAGES, goTo } from './pages';
import type { PageName } from './pages';
import { useUndo } from '../undo/useUndo';
import { useLater } from '../useLater';
import { Offers } from './place';

interface FrameProps {
  place: PageName;
  accounts: AccountInfo[];
  account: AccountInfo | undefined;
  tray: TrayState;
  children: ReactNode;
}

/** What the place asks for goes first. */
const WARNINGS_AFTER_MS = 1500;

/** Top bar, place, tray: the same bands at the same places everywhere. */
export function Frame({ place, accounts, account, tray, children }: FrameProps) {
  const offers = useContext(Offers);
  const undo = useUndo(account?.id);
  const isLater = useLater(WARNINGS_AFTER_MS);
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
    { label: 'Undo the last thing', keys: 'u', run: undo.undo },
    { label: 'Open the tray', keys: 't', run: () => openTray(true) },
    { label: 'Show the keys', keys: '?', run: () => openHelp(true) },
    { label: 'Open the guide', keys: '', run: openGuide },
  ];
  const going: KeyMap = Object.fromEntries(
    PAGES.map(({ name, key }) => [`g ${key}`, () => goTo(name, account?.id)]),
  );
  useKeys({
    ...going,
    t: () => openTray(!isTrayOpen),
    '?': () => openHelp(true),
    u: undo.undo,
    'ctrl+k': () => openFind(true),
    escape: () => openTray(false),
  });
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        height: '100vh',
        '& > :not(.room)': { flexShrink: 0 },
      }}
    >
      <TopBar
        place={place}
        accounts={accounts}
        account={account}
        tray={tray}
        onTray={() => openTray(!isTrayOpen)}
        onHelp={() => openHelp(true)}
        onFind={() => openFind(true)}
      />
      {isLater && (
        <>
          <MachineWarning />
          <MoneyWarning account={account} />
          <RulesWarning account={account} />
        </>
      )}
      <NightLine key={account?.id} account={account} />
      {/* Whatever lines stand above: the place has all the room that is left. */}
      <Box
        className="room"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateRows: 'minmax(0, 1fr)',
          gridTemplateColumns: 'minmax(0, 1fr)',
        }}
      >
        {children}
      </Box>
      <Tray tray={tray} account={account} isOpen={isTrayOpen} onOpen={openTray} />
      {isFindOpen && (
        <Suspense fallback={null}>
          <FindOrDo
            onClose={() => openFind(false)}
            account={account}
            actions={[...offers.get().actions, ...always]}
          />
        </Suspense>
      )}
      {isHelpOpen && <KeysHelp place={place} own={offers.get().keys} onClose={() => openHelp(false)} />}
    </Box>
  );
}

/** It comes when it is first asked for. */
const FindOrDo = lazy(async () => ({ default: (await import('./FindOrDo')).FindOrDo }));

const openGuide = () => void open('/guide', '_blank', 'noopener');
