import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import { addDays, daysIn, formatDay } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';

/** A window that is shown, and the days left out behind it. */
export interface ShownWindow {
  from: string;
  to: string;
  unsettled: string[];
}

interface WindowButtonProps {
  account: AccountInfo;
  window: ShownWindow | undefined;
  /** Both null: the usual window. */
  onWindow: (from: string | null, to: string | null) => void;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

const LENGTHS = [7, 14, 30, 60, 90];

/** The window: which days count, and which are left out because their orders are still coming in. */
export function WindowButton({ account, window: shown, onWindow, isOpen, onOpen }: WindowButtonProps) {
  const anchor = useRef<HTMLButtonElement>(null);
  if (!shown) return null;
  const { from, to, unsettled } = shown;
  const left =
    unsettled.length === 0
      ? ''
      : ` · ${unsettled.length} unsettled ${unsettled.length === 1 ? 'day' : 'days'} left out`;
  return (
    <>
      <Button
        ref={anchor}
        onClick={() => onOpen(true)}
        title="Window (w)"
        sx={{ color: 'text.primary', fontWeight: 400, minWidth: 0, overflow: 'hidden', whiteSpace: 'nowrap' }}
      >
        <span style={{ flexShrink: 0 }}>
          {formatDay(from)} – {formatDay(to)} · {daysIn(from, to)} days
        </span>
        <span
          className="faint cut"
          style={{ whiteSpace: 'pre' }}
          title={left.replace(' · ', '') || undefined}
        >
          {left}
        </span>
      </Button>
      <Popover
        disableRestoreFocus
        transitionDuration={0}
        open={isOpen}
        onClose={() => onOpen(false)}
        anchorEl={() => anchor.current!}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <WindowForm
          key={`${from} ${to}`}
          account={account}
          from={from}
          to={to}
          unsettled={unsettled}
          onWindow={onWindow}
          onDone={() => onOpen(false)}
        />
      </Popover>
    </>
  );
}

type FormProps = {
  account: AccountInfo;
  from: string;
  to: string;
  unsettled: string[];
  onWindow: WindowButtonProps['onWindow'];
  onDone: () => void;
};

function WindowForm({ account, from, to, unsettled, onWindow, onDone }: FormProps) {
  const [first, setFirst] = useState(from);
  const [last, setLast] = useState(to);
  const choose = (start: string | null, end: string | null) => {
    onWindow(start, end);
    onDone();
  };
  return (
    <form
      style={{ padding: 14, display: 'grid', gap: 10, width: 330 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (first <= last) choose(first, last);
      }}
    >
      <div>
        {LENGTHS.map((length, index) => (
          <Button key={length} autoFocus={index === 2} onClick={() => choose(addDays(to, 1 - length), to)}>
            {length} days
          </Button>
        ))}
      </div>
      <div style={{ display: 'flex', gap: 8, alignItems: 'center' }}>
        <input
          type="date"
          aria-label="From"
          value={first}
          max={last}
          onChange={(event) => setFirst(event.target.value)}
        />
        –
        <input
          type="date"
          aria-label="To"
          value={last}
          min={first}
          onChange={(event) => setLast(event.target.value)}
        />
        <Button type="submit" variant="contained" disabled={!(first <= last)}>
          Set
        </Button>
      </div>
      <p className="faint" style={{ margin: 0 }}>
        Data from {account.firstDay ?? 'no day yet'} to {account.lastDay ?? '–'}.
        {unsettled.length > 0 &&
          ` Orders of ${unsettled.map(formatDay).join(', ')} are still coming in, so these days are left out.`}
      </p>
      <Button onClick={() => choose(null, null)}>Usual window: the last 30 settled days</Button>
    </form>
  );
}
