import {
  changeKey,
  describeChange,
  fromPresent,
  inverseOf,
  isChangedSince,
  isMaking,
  isReplaced,
} from '../../core/changes';
import type { Change } from '../../core/changes';
import type { UndoAnswer, UndoRequest } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { insertChanges } from '../../db/queries/changes';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { listChanges, madeOf } from './listChanges';
import type { StandingChange } from './listChanges';

/**
 * Stages the opposite of accepted changes. Where something else was set since, nothing is staged and it is asked what to do, unless
 * `changed` says it: 'leave' those as they are, or 'set-back' anyway.
 */
export async function undoChanges(
  caller: Caller,
  { account, ids, changed }: UndoRequest,
): Promise<UndoAnswer> {
  const rows = await listChanges(db(), account, { ids });
  const possible = rows.flatMap((row) => {
    const inverse = inverseOfRow(row);
    return inverse ? [{ row, inverse, isChanged: isChangedSince(row.change, row.present) }] : [];
  });
  if (possible.length === 0)
    throw new MowingError(
      'conflict',
      'None of these changes can be undone: they were not accepted, are undone already, or are final.',
    );
  const since = possible.filter(({ isChanged }) => isChanged);
  if (since.length > 0 && changed === undefined)
    return {
      ids: [],
      changed: since.map(({ row }) => ({
        id: row.id,
        what: describeChange(row.change),
        where: [row.campaign, row.adGroup].filter(Boolean).join(' › '),
        present: row.present,
      })),
    };
  const chosen = possible.filter(
    ({ row, isChanged }) => !isChanged || (changed === 'set-back' && canComeBack(row)),
  );
  return { ids: await stageUndoing(caller, account, chosen), changed: [] };
}

function inverseOfRow(row: StandingChange): Change | null {
  if (row.state !== 'accepted' || row.undone) return null;
  return inverseOf(row.change, madeOf(row));
}

/** What was made and has ended since cannot be ended again. */
const canComeBack = ({ change, present }: StandingChange) => !isMaking(change) || present !== 'archived';

async function stageUndoing(
  caller: Caller,
  accountId: number,
  list: { row: StandingChange; inverse: Change }[],
): Promise<number[]> {
  return recorded(caller, accountId, async (tx, note) => {
    const made = await insertChanges(
      tx,
      accountId,
      list.map(({ row, inverse }) => {
        const change = fromPresent(inverse, row.present);
        return {
          change,
          key: changeKey(change),
          reason: `Undoes change ${row.id}: ${row.reason}`.slice(0, 1000),
          isReplaced: isReplaced(change),
          figures: {},
          carries: {},
          effect: { spend: -row.effectSpend, sales: -row.effectSales },
          afterId: null,
          undoesId: row.id,
        };
      }),
    );
    const staged = made.filter(({ isNew }) => isNew).map(({ id }) => id);
    note({ what: 'stage undoing', subject: 'changes', to: { ids: staged } });
    return staged;
  });
}
