import { useState } from 'react';
import { addDays } from '../../../core/units';
import { Ask, DayField, Field, TextBox } from '../../shared/kit';

interface LossDialogProps {
  count: number;
  today: string;
  /** Null: it was given up. */
  onDone: (loss: { until: string; note: string } | null) => void;
}

const USUAL_DAYS = 60;

/** Why a loss is wanted, and until when. */
export function LossDialog({ count, today, onDone }: LossDialogProps) {
  const [note, setNote] = useState('');
  const [until, setUntil] = useState(addDays(today, USUAL_DAYS));
  const isGood = until > today;
  return (
    <Ask
      title={`Accept the loss of ${count === 1 ? 'this target' : `${count} targets`}`}
      does="Accept the loss"
      isOff={!isGood}
      onDone={(isWanted) => onDone(isWanted ? { until, note: note.trim() } : null)}
    >
      <div className="formGrid">
        <Field label="Why">
          <TextBox
            aria-label="Why"
            placeholder="It holds the rank of the crock"
            value={note}
            autoFocus
            maxLength={2000}
            onChange={(event) => setNote(event.target.value)}
          />
        </Field>
        <Field label="Until" error={isGood ? undefined : { message: 'Choose a day after today.' }}>
          <DayField label="Until" value={until} min={addDays(today, 1)} onChange={setUntil} />
        </Field>
        <p className="note">Its bid is not proposed until then.</p>
      </div>
    </Ask>
  );
}
