import Button from '@mui/material/Button';
import { useState } from 'react';
import { addDays, daysIn } from '../../../core/units';
import { writeSpan } from '../../../core/windows';
import type { ComparedWindow } from '../../../core/windows';
import { DayField } from '../kit';
import type { WindowState } from './windowState';
import { FIRST_AFTER_LAST } from '../words';

interface VersusFormProps {
  window: WindowState;
  versus: NonNullable<WindowState['versus']> & { shown: ComparedWindow };
  /** Days of the window itself. */
  days: number;
}

/** What a window is compared with: the days before it, or any others. */
export function VersusForm({ window, versus: { shown, isChosen, onVersus }, days }: VersusFormProps) {
  const [first, setFirst] = useState(shown.from);
  const [last, setLast] = useState(shown.to);
  const isWrong = first > last;
  const choose = (span: string | null) => {
    onVersus(span);
    window.onOpen(false);
  };
  const length = isWrong ? 0 : daysIn(first, last);
  return (
    <form
      className="popForm"
      aria-label="Compared with"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isWrong) choose(writeSpan({ from: first, to: last }));
      }}
    >
      <p className="note">Compared with</p>
      <div className="bar">
        <DayField label="Compared from" value={first} isWrong={isWrong} onChange={setFirst} />
        –
        <DayField label="Compared to" value={last} isWrong={isWrong} onChange={setLast} />
        <Button type="submit" variant="contained" disabled={isWrong}>
          Compare
        </Button>
      </div>
      {isWrong && (
        <p role="alert" className="over note">
          {FIRST_AFTER_LAST}
        </p>
      )}
      {!isWrong && length !== days && (
        <p className="note">
          {length} days against {days}: sums are shown as they are, ratios can be compared.{' '}
          <Button variant="link" type="button" onClick={() => setLast(addDays(first, days - 1))}>
            Make it {days} days
          </Button>
        </p>
      )}
      {isChosen && <Button onClick={() => choose(null)}>The {days} days before it</Button>}
    </form>
  );
}
