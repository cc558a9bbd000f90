import { MowingError } from '../../contract/mowingError';
import { formatDay } from '../../core/units';
import type { Day } from '../../core/units';
import type { Query } from '../../db/connection';
import { keepLosses } from '../../db/queries/losses';
import { insertNote } from '../../db/queries/notes';

/** @throws MowingError when the day has passed */
export function needComing(until: Day, today: Day): void {
  if (until <= today)
    throw new MowingError(
      'bad-request',
      `${formatDay(until, today)} has passed; choose a day after ${formatDay(today, today)}.`,
    );
}

/** Accepts losses inside a transaction, and writes each among the notes of its subject. */
export async function acceptIn(
  tx: Query,
  accountId: number,
  subjects: readonly string[],
  loss: { today: Day; until: Day; note: string; most: number | null },
): Promise<void> {
  const { today, until, note } = loss;
  await keepLosses(tx, accountId, subjects, loss);
  const text = `Loss accepted until ${formatDay(until, today)}${note === '' ? '' : `: ${note}`}`;
  for (const subject of subjects) await insertNote(tx, accountId, { subject, text, day: today });
}
