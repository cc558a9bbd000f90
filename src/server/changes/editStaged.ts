import { effectAtBid } from '../../core/bids';
import { fromPresent, setValueOf, withValue } from '../../core/changes';
import type { Change } from '../../core/changes';
import type { StagedValue } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { rewriteStaged } from '../../db/queries/changes';
import type { ChangeRow } from '../../db/queries/changes';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { listChanges } from './listChanges';

/**
 * Sets other values on staged changes, all or none; what is expected of a bid goes with it.
 * @throws MowingError 'conflict' when one of them is not in the tray any more, or sets no value
 */
export async function editValues(caller: Caller, accountId: number, values: StagedValue[]): Promise<void> {
  await recorded(caller, accountId, async (tx, note) => {
    const rows = new Map(
      (await listChanges(tx, accountId, { ids: values.map(({ id }) => id) })).map((row) => [row.id, row]),
    );
    note({
      what: 'edit staged',
      subject: 'changes',
      from: [...rows.values()].map(({ id, change }) => ({ id, value: setValueOf(change)?.to ?? null })),
      to: values,
    });
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
export async function goFromPresent(caller: Caller, accountId: number, ids: number[]): Promise<number[]> {
  return recorded(caller, accountId, async (tx, note) => {
    const moved: number[] = [];
    for (const { id, change, present, state, effectSpend, effectSales } of await listChanges(tx, accountId, {
      ids,
    })) {
      if (state !== 'staged') continue;
      const effect = { spend: effectSpend, sales: effectSales };
      if (await rewriteStaged(tx, accountId, id, fromPresent(change, present), effect)) moved.push(id);
    }
    note({ what: 'go from what stands now', subject: 'changes', to: { ids: moved } });
    return moved;
  });
}
