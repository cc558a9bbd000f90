import Button from '@mui/material/Button';
import { useState } from 'react';
import { addDays } from '../../../core/units';
import { DayField } from '../../shared/kit';

const USUAL_DAYS = 7;

/** Puts a target off until a day. */
export function LaterForm({ today, onLater }: { today: string; onLater: (until: string) => void }) {
  const [until, setUntil] = useState(addDays(today, USUAL_DAYS));
  return (
    <form
      className="bar"
      data-may="decide"
      onSubmit={(event) => {
        event.preventDefault();
        if (until > today) onLater(until);
      }}
    >
      <Button type="submit" disabled={until <= today} sx={{ padding: '0 6px' }}>
        Later, on
      </Button>
      <DayField label="Later, on" value={until} min={addDays(today, 1)} onChange={setUntil} />
    </form>
  );
}
