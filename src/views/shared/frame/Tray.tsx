import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useSnackbar } from 'notistack';
import { useEffect, useRef } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { formatCount, formatMoney } from '../../../core/units';
import type { TrayState } from '../useTray';
import { placeLink } from './places';
import { TrayList } from './TrayList';

interface TrayProps {
  tray: TrayState;
  account: AccountInfo | undefined;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

const plural = (count: number) => `${formatCount(count)} ${count === 1 ? 'change' : 'changes'}`;
const signed = (micros: number) =>
  `${micros > 0 ? '+' : micros < 0 ? '−' : ''}${formatMoney(Math.abs(micros))}`;

/** Everything staged, as one line that opens upward. Nothing is sent from anywhere else. */
export function Tray({ tray, account, isOpen, onOpen }: TrayProps) {
  const { changes, sending, effect } = tray;
  const { enqueueSnackbar } = useSnackbar();
  const sendButton = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (isOpen) sendButton.current?.focus();
  }, [isOpen]);

  const send = async () => {
    const { baleId, trouble } = await tray.send.mutateAsync();
    if (trouble !== '') enqueueSnackbar(trouble, { variant: 'warning', autoHideDuration: 10_000 });
    else location.assign(`${placeLink('ledger', account?.id)}&bale=${baleId}`);
  };
  const perMonth = account ? `${account.currency}/month` : '';
  return (
    <section
      aria-label="Tray"
      style={{ borderTop: '1px solid var(--hairline)', background: 'var(--raised)' }}
    >
      {tray.send.isPending && <LinearProgress aria-label="Sending" />}
      <div style={{ display: 'flex', alignItems: 'center', gap: 12, height: 36, padding: '0 16px' }}>
        <button
          type="button"
          onClick={() => onOpen(!isOpen)}
          aria-expanded={isOpen}
          style={{
            all: 'unset',
            cursor: 'pointer',
            flex: 1,
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
          }}
        >
          <strong>{changes.length === 0 ? 'Nothing staged' : plural(changes.length)}</strong>
          {changes.length > 0 && (
            <span className="faint">
              {' '}
              {effect.spend !== 0 && `· spend ${signed(effect.spend)} ${perMonth} `}
              {effect.sales !== 0 && `· sales ${signed(effect.sales)} ${perMonth} `}
              {effect.spend === 0 && effect.sales === 0 ? '· no change of spend is claimed' : 'expected'}
            </span>
          )}
          {sending.length > 0 && (
            <span className="over">
              {' '}
              · {plural(sending.length)} sent, answer not known yet; asked again by itself
            </span>
          )}
        </button>
        {changes.length > 0 && (
          <>
            <Button href={`/api/changes/file?account=${account?.id}&format=csv`}>Change file, CSV</Button>
            <Button href={`/api/changes/file?account=${account?.id}&format=json`}>JSON</Button>
          </>
        )}
        {changes.length > 0 && account?.connected === false && (
          <span className="faint">Fed by files: take the change file</span>
        )}
        {changes.length > 0 && account?.connected && (
          <Button
            ref={sendButton}
            variant="contained"
            disabled={tray.send.isPending}
            onClick={() => void send().catch(() => {})}
          >
            Send {plural(changes.length)}
          </Button>
        )}
      </div>
      {isOpen && account && <TrayList tray={tray} limits={account.limits} currency={account.currency} />}
    </section>
  );
}
