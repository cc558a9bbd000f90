import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import { daysIn, formatDay } from '../../../core/units';
import { lastDays, SETTLED, writeSpan } from '../../../core/windows';
import type { AccountInfo } from '../../../contract/api';
import { DayField } from '../kit';
import { VersusForm } from './VersusForm';
import type { ShownWindow, WindowState } from './windowState';
import { FIRST_AFTER_LAST } from '../words';

const LENGTHS = [7, 14, 30, 60, 90];

/** The window: which days count, and which are left out because their orders are still coming in. */
export function WindowButton({ account, window }: { account: AccountInfo; window: WindowState }) {
  const anchor = useRef<HTMLButtonElement>(null);
  const { shown, isOpen, onOpen, versus } = window;
  if (!shown) return null;
  const { from, to, unsettled } = shown;
  const left =
    unsettled.length === 0
      ? ''
      : `${unsettled.length} unsettled ${unsettled.length === 1 ? 'day' : 'days'} left out`;
  return (
    <>
      <Button
        ref={anchor}
        className="window"
        onClick={() => onOpen(true)}
        title={`Window (w)${left && `: ${left}`}`}
      >
        {formatDay(from)} – {formatDay(to)} · {daysIn(from, to)} days
        {versus?.isChosen && versus.shown && (
          <span>
            {' '}
            against {formatDay(versus.shown.from)} – {formatDay(versus.shown.to)}
          </span>
        )}
        {left && <span className="faint windowLeft"> · {left}</span>}
      </Button>
      <Popover
        disableRestoreFocus
        transitionDuration={0}
        open={isOpen}
        onClose={() => onOpen(false)}
        anchorEl={() => anchor.current!}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        <WindowForm key={`${from} ${to}`} account={account} shown={shown} window={window} />
      </Popover>
    </>
  );
}

interface FormProps {
  account: AccountInfo;
  shown: ShownWindow;
  window: WindowState;
}

function WindowForm({ account, shown: { from, to, unsettled }, window }: FormProps) {
  const [first, setFirst] = useState(from);
  const [last, setLast] = useState(to);
  const isWrong = first > last;
  const choose = (start: string | null, end: string | null) => {
    window.onWindow(start, end);
    window.onOpen(false);
  };
  return (
    <>
      <form
        className="popForm"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isWrong) choose(first, last);
        }}
      >
        <div>
          {LENGTHS.map((length, index) => (
            <Button
              key={length}
              autoFocus={index === 2}
              title={`The last ${length} settled days: a link or a swath keeps it in these words`}
              onClick={() => choose(lastDays(length), SETTLED)}
            >
              {length} days
            </Button>
          ))}
        </div>
        <div className="bar">
          <DayField label="From" value={first} unsettled={unsettled} isWrong={isWrong} onChange={setFirst} />
          –
          <DayField label="To" value={last} unsettled={unsettled} isWrong={isWrong} onChange={setLast} />
          <Button type="submit" variant="contained" disabled={isWrong}>
            Set
          </Button>
        </div>
        {isWrong && (
          <p role="alert" className="over note">
            {FIRST_AFTER_LAST}
          </p>
        )}
        <p className="note">
          {account.firstDay && account.lastDay
            ? `There are figures from ${formatDay(account.firstDay)} to ${formatDay(account.lastDay)}.`
            : 'There are no figures yet.'}
          {unsettled.length > 0 &&
            ` Orders of ${unsettled.map((day) => formatDay(day)).join(', ')} are still coming in, so these days are left out.`}
        </p>
        <Button onClick={() => choose(null, null)}>Usual window: the last 30 settled days</Button>
      </form>
      {window.versus?.shown && (
        <VersusForm
          key={writeSpan(window.versus.shown)}
          window={window}
          versus={{ ...window.versus, shown: window.versus.shown }}
          days={daysIn(from, to)}
        />
      )}
    </>
  );
}
