import { effectAtBid } from '../../core/bids';
import { fromPresent, setValueOf, withValue } from '../../core/changes';
import type { Change } from '../../core/changes';
import { MowingError } from '../../contract/mowingError';
import { rewriteStaged } from '../../db/queries/changes';
import type { ChangeRow } from '../../db/queries/changes';
import { db } from '../context/context';
import { listChanges } from './listChanges';

/** A number for a staged change to set: micros, or a share for a modifier. */
export interface StagedValue {
  id: number;
  value: number;
}

/**
 * Sets other values on staged changes, all or none; what is expected of a bid goes with it.
 * @throws MowingError 'conflict' when one of them is not in the tray any more, or sets no value
 */
export async function editValues(accountId: number, values: StagedValue[]): Promise<void> {
  await db().begin(async (tx) => {
    const rows = new Map(
      (await listChanges(tx, accountId, { ids: values.map(({ id }) => id) })).map((row) => [row.id, row]),
    );
    for (const { id, value } of values) {
      const row = rows.get(id);
      const isKept =
        row?.state === 'staged' &&
        setValueOf(row.change) !== null &&
        (await rewriteStaged(
          tx,
          accountId,
          id,
          withValue(row.change, onUnit(row.change, value)),
          effectAt(row, value),
        ));
      if (!isKept)
        throw new MowingError(
          'conflict',
          `Change ${id} is not in the tray any more, or sets no value. Nothing was edited; load the page again.`,
        );
    }
  });
}

/** Money is whole micros. */
const onUnit = (change: Change, value: number) =>
  setValueOf(change)?.unit === 'money' ? Math.round(value) : value;

function effectAt({ change, effectSpend, effectSales }: ChangeRow, value: number) {
  const planned = { spend: effectSpend, sales: effectSales };
  const set = setValueOf(change);
  if (!set?.isBid || set.from === null) return planned;
  return effectAtBid(planned, { from: set.from, to: set.to, next: value });
}

/** Has staged changes go from what stands there now. @returns ids of those that did */
export async function goFromPresent(accountId: number, ids: number[]): Promise<number[]> {
  return db().begin(async (tx) => {
    const moved: number[] = [];
    for (const { id, change, present, state, effectSpend, effectSales } of await listChanges(tx, accountId, {
      ids,
    })) {
      if (state !== 'staged') continue;
      const effect = { spend: effectSpend, sales: effectSales };
      if (await rewriteStaged(tx, accountId, id, fromPresent(change, present), effect)) moved.push(id);
    }
    return moved;
  });
}
