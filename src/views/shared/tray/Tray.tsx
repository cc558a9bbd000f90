import ButtonBase from '@mui/material/ButtonBase';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useTell } from '../useTell';
import { useEffect, useRef, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { useNegativeCheck } from './useNegativeCheck';
import type { TrayState } from './useTray';
import { navigate } from 'wouter/use-browser-location';
import { pageLink } from '../frame/pages';
import { CarriedOut } from './CarriedOut';
import { ChangeFileMenu } from './ChangeFileMenu';
import { changeCount, signed } from './money';
import { TrayList } from './TrayList';
import { TryByWeeks } from './TryByWeeks';
import { useSendProgress } from './useSendProgress';
import { formatCount } from '../../../core/units';
import { NOBODY } from '../../../contract/people';
import type { ChangeInfo } from '../../../contract/changes';
import { useMe } from '../people/useMe';

interface TrayProps {
  tray: TrayState;
  account: AccountInfo | undefined;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

/** Whose changes lie in the tray beside one's own: "12 by Ben Okoro". */
function useOthersInTray(changes: readonly ChangeInfo[]): string[] {
  const me = useMe()?.name ?? NOBODY;
  const counts = new Map<string, number>();
  for (const { by } of changes) counts.set(by, (counts.get(by) ?? 0) + 1);
  counts.delete(me);
  return [...counts].map(([by, count]) => `${formatCount(count)} by ${by}`);
}

/** Everything staged, as one line that opens upward. Nothing is sent from anywhere else. */
export function Tray({ tray, account, isOpen, onOpen }: TrayProps) {
  const { changes, sending, effect, conflicts } = tray;
  const progress = useSendProgress(account?.id, tray.send.isPending);
  const tell = useTell();
  const { isStaging } = tray;
  const check = useNegativeCheck(account, changes);
  const sendButton = useRef<HTMLButtonElement>(null);
  /** What had the focus when it was opened. */
  const hadFocus = useRef<Element | null>(null);
  useEffect(() => {
    hadFocus.current = isOpen ? document.activeElement : null;
  }, [isOpen]);
  const hasChanges = changes.length > 0;
  useEffect(() => {
    // Opened while the first change is on its way into the tray, the button comes later. Focus that went elsewhere meanwhile did so for a reason.
    if (isOpen && hasChanges && document.activeElement === hadFocus.current) sendButton.current?.focus();
  }, [isOpen, hasChanges]);

  const send = async () => {
    const { baleId, waiting, trouble } = await tray.send.mutateAsync();
    if (waiting > 0)
      tell(
        `${changeCount(waiting)} stayed in the tray: ${waiting === 1 ? 'it waits' : 'they wait'} for changes that have not been accepted yet.`,
      );
    if (trouble !== '') tell(trouble, { kind: 'warning' });
    else {
      onOpen(false);
      navigate(`${pageLink('ledger', account?.id)}&bale=${baleId}`);
    }
  };
  // Pressed while something is still on its way into the tray: sent once all of it is there.
  const [isWanted, setWanted] = useState(false);
  useEffect(() => {
    if (!isWanted || isStaging || check.isChecking) return;
    setWanted(false);
    if (check.costly.length > 0) {
      onOpen(true);
      tell('Confirm or take out the negatives that cost sales first; they are at the top of the tray.');
    } else void send().catch(() => {});
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- what is sent is what the tray holds by then
  }, [isWanted, isStaging, check.isChecking]);
  const others = useOthersInTray(changes);
  const perMonth = account ? `${account.currency}/month` : '';
  return (
    <Box
      component="section"
      aria-label="Tray"
      sx={{
        borderTop: '1px solid var(--hairline)',
        background: 'var(--raised)',
        position: 'relative',
        zIndex: 2,
      }}
    >
      {tray.send.isPending && (
        <LinearProgress
          aria-label="Sending"
          variant={progress.share > 0 ? 'determinate' : 'indeterminate'}
          value={progress.share * 100}
        />
      )}
      <Box sx={{ display: 'flex', alignItems: 'center', gap: '12px', height: 36, padding: '0 16px' }}>
        <ButtonBase className="trayLine cut" onClick={() => onOpen(!isOpen)} aria-expanded={isOpen}>
          <strong>
            {tray.count > 0
              ? changeCount(tray.count)
              : tray.isAdding
                ? 'On its way into the tray …'
                : 'Nothing staged'}
          </strong>
          {changes.length > 0 && (
            <span className="faint">
              {' '}
              {effect.spend !== 0 && `· spend ${signed(effect.spend)} ${perMonth} `}
              {effect.sales !== 0 && `· sales ${signed(effect.sales)} ${perMonth} `}
              {effect.spend === 0 && effect.sales === 0 ? '· no change of spend expected' : 'expected'}
            </span>
          )}
          {others.length > 0 && <span> · {others.join(', ')}</span>}
          {conflicts.length > 0 && (
            <span className="over">
              {' '}
              · ▲ {conflicts.length} {conflicts.length === 1 ? 'conflict' : 'conflicts'}
            </span>
          )}
          {check.costly.length > 0 && (
            <span className="over">
              {' '}
              · ▲ {check.costly.length} {check.costly.length === 1 ? 'negative costs' : 'negatives cost'}{' '}
              sales
            </span>
          )}
          {tray.send.isPending && <span> · {progress.words}</span>}
          {!tray.send.isPending && sending.length > 0 && (
            <span className="over">
              {' '}
              · {changeCount(sending.length)}{' '}
              {account?.connected === false
                ? 'carried out, and not borne out by an import yet'
                : 'sent, no answer yet; Mowing keeps asking'}
            </span>
          )}
        </ButtonBase>
        {changes.length > 0 && account && <ChangeFileMenu account={account} tray={tray} />}
        {changes.length > 0 && account?.connected && isOpen && <TryByWeeks account={account} tray={tray} />}
        {changes.length > 0 && account?.connected === false && <CarriedOut account={account} tray={tray} />}
        {changes.length > 0 && account?.connected && !account.rights.includes('send') && (
          <span className="faint">
            {account.rights.includes('decide')
              ? 'You may decide here; somebody who may send takes it from here.'
              : 'You read here.'}
          </span>
        )}
        {changes.length > 0 && account?.connected && account.rights.includes('send') && (
          <Button
            ref={sendButton}
            variant="contained"
            disabled={tray.send.isPending}
            onClick={() => setWanted(true)}
          >
            Send {changeCount(changes.length)}
          </Button>
        )}
      </Box>
      {isOpen && account && (
        <TrayList tray={tray} check={check} limits={account.limits} currency={account.currency} />
      )}
    </Box>
  );
}
