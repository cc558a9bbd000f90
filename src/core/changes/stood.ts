import { acceptedOf, inverseOf } from './change';
import type { Change } from './kinds';
import type { SetEntity, Values } from './kinds/spec';
import type { Made } from './named';

/** An accepted change with what it made. */
export interface AcceptedChange {
  change: Change;
  made: Made;
}

/** How things stood before some changes. */
export interface Stood {
  /** What was made by them is left out, what was set by them has its value from before. */
  of: <T extends { id: number }>(entity: SetEntity, list: readonly T[]) => T[];
}

/**
 * Takes accepted changes back in thought, the newest first. Of what was ended it is not written down whether it was paused before: it counts
 * as running.
 * @param changes in the order in which they were accepted
 */
export function stoodBefore(changes: readonly AcceptedChange[]): Stood {
  const made = new Set<string>();
  const before = new Map<string, Values>();
  for (const { change, made: own } of [...changes].reverse()) {
    const accepted = acceptedOf(change);
    for (const [entity, id] of [
      ['target', own.targetId],
      ['negative', own.negativeId],
      ['schedule', own.scheduleId],
    ] as const)
      if (id !== null) made.add(`${entity} ${id}`);
    if (accepted.does === 'adopt') made.add(`${accepted.entity} ${accepted.id}`);
    if (accepted.does !== 'set') continue;
    const key = `${accepted.entity} ${accepted.id}`;
    before.set(key, { ...before.get(key), ...valuesBefore(change, own, accepted.values) });
  }
  return {
    of: (entity, list) =>
      list.flatMap((one) => {
        const key = `${entity} ${one.id}`;
        if (made.has(key)) return [];
        const values = before.get(key);
        return [values ? { ...one, ...values } : one];
      }),
  };
}

function valuesBefore(change: Change, made: Made, values: Values): Values {
  const inverse = inverseOf(change, made);
  const back = inverse && acceptedOf(inverse);
  if (back?.does === 'set') return back.values;
  return values.state === 'archived' ? { state: 'enabled' } : {};
}
