import { useState } from 'react';
import { addDays } from '../../../core/units';
import { Ask, Check, DayField, Field, MoneyField, TextBox } from '../kit';

/** Why a loss is wanted, until when, and how large it may be in 30 days (micros, null: whatever it is). */
export interface LossAccepted {
  until: string;
  note: string;
  most: number | null;
}

interface LossDialogProps {
  /** What loses: "this target", "3 targets". */
  what: string;
  today: string;
  currency: string;
  /** What was said before, where it is accepted anew. */
  start?: { note: string; most: number | null };
  /** Null: it was given up. */
  onDone: (loss: LossAccepted | null) => void;
}

const USUAL_DAYS = 60;
const USUAL_MOST = 50_000_000;

/** Why a loss is wanted, until when, and how much of it. */
export function LossDialog({ what, today, currency, start, onDone }: LossDialogProps) {
  const [note, setNote] = useState(start?.note ?? '');
  const [until, setUntil] = useState(addDays(today, USUAL_DAYS));
  const [most, setMost] = useState(start?.most ?? null);
  const isGood = until > today;
  return (
    <Ask
      title={`Accept the loss of ${what}`}
      does="Accept the loss"
      isOff={!isGood}
      onDone={(isWanted) => onDone(isWanted ? { until, note: note.trim(), most } : null)}
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
        <Field label="At most">
          <Check isOn={most !== null} onChange={(isOn) => setMost(isOn ? USUAL_MOST : null)}>
            only while it loses less than
          </Check>
          {most !== null && (
            <MoneyField
              label="Most loss in 30 days"
              currency={currency}
              micros={most}
              least={10_000}
              onMicros={setMost}
            />
          )}
        </Field>
        <p className="note">
          Its bid is not proposed until then, by the round or by a rule. A loss is spend − target ACOS ×
          sales, over 30 days.
        </p>
      </div>
    </Ask>
  );
}
