import { changeKey, entitiesOf, goesInto, isReplaced } from '../../core/changes';
import type { Change, Named } from '../../core/changes';
import { formatCount } from '../../core/units';
import { MOST_CHANGES } from '../../contract/changes';
import type { NewChange } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { dropDrafts, makersOfDrafts } from '../../db/queries/drafts';
import { countPending, insertChanges, withdrawChanges } from '../../db/queries/changes';
import type { ChangeToStage } from '../../db/queries/changes';
import { marketIds } from '../../db/queries/structure';
import type { Query } from '../../db/connection';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { checkAdParts } from './checkAdParts';
import { TABLES_OF_NAMED } from './tablesOfNamed';

/**
 * Puts changes into the tray, all or none. What is staged or under way already is not staged a second time.
 * @returns ids of the staged changes, in the order given; null for those that were there already
 * @throws MowingError when a change names an ad group or campaign that the account does not have, or the tray would hold more than it can
 */
export async function stageChanges(
  caller: Caller,
  accountId: number,
  list: NewChange[],
): Promise<(number | null)[]> {
  return recorded(caller, accountId, async (tx, note) => {
    const { staged: before } = await countPending(tx, accountId);
    const ids = await stageIn(tx, accountId, list);
    await checkRoom(tx, accountId, before);
    note({ what: 'stage', subject: 'changes', to: { ids: ids.filter((id) => id !== null) } });
    return ids;
  });
}

/** A tray is listed, sent and taken out whole: what it cannot list is not put into it. @param before changes that it held already */
async function checkRoom(tx: Query, accountId: number, before: number): Promise<void> {
  const { staged } = await countPending(tx, accountId);
  // A night may have filled it further: what is there can be set otherwise all the same.
  if (staged <= Math.max(MOST_CHANGES, before)) return;
  throw new MowingError(
    'conflict',
    `The tray holds ${formatCount(MOST_CHANGES)} changes at the most, and with these it would hold ${formatCount(staged)}. Send or take out some of them first, or accept fewer rows; nothing was staged.`,
  );
}

/** The same inside a transaction that does more. */
export async function stageIn(tx: Query, accountId: number, list: NewChange[]): Promise<(number | null)[]> {
  await checkPlaces(
    tx,
    accountId,
    list.map((one) => one.change),
  );
  await checkAdParts(
    tx,
    accountId,
    list.map((one) => one.change),
  );
  const makers = await makersOfDrafts(tx, accountId);
  const staged = new Array<{ id: number; isNew: boolean }>(list.length);
  for (const wave of wavesOf(list)) {
    const made = await insertChanges(
      tx,
      accountId,
      wave.map((index) => {
        const one = list[index];
        // What goes into a draft waits until the draft is made.
        const afterId =
          one.after === undefined ? (makers.get(goesInto(one.change) ?? 0) ?? null) : staged[one.after].id;
        return toStage(one, afterId);
      }),
    );
    wave.forEach((index, at) => (staged[index] = made[at]));
  }
  return staged.map(({ id, isNew }) => (isNew ? id : null));
}

/** Places in the list that can be written down together: first what waits for nothing, then what waits for that, and so on. */
function wavesOf(list: readonly NewChange[]): number[][] {
  const depths: number[] = [];
  const waves: number[][] = [];
  for (const [index, { after }] of list.entries()) {
    if (after !== undefined && !(after < index))
      throw new MowingError(
        'bad-request',
        `changes[${index}].after must name an earlier change of the request.`,
      );
    const depth = after === undefined ? 0 : depths[after] + 1;
    depths.push(depth);
    (waves[depth] ??= []).push(index);
  }
  return waves;
}

function toStage(one: NewChange, afterId: number | null): ChangeToStage {
  return {
    change: one.change,
    key: changeKey(one.change),
    isReplaced: isReplaced(one.change),
    reason: one.reason,
    figures: one.figures,
    carries: one.carries ?? {},
    effect: one.effect,
    afterId,
    undoesId: null,
  };
}

async function checkPlaces(tx: Query, accountId: number, changes: Change[]) {
  const named = changes.map(entitiesOf);
  const strange: string[] = [];
  for (const [word, table] of Object.entries(TABLES_OF_NAMED) as [keyof Named, 'campaign'][]) {
    const ids = named.flatMap((one) => one[word] ?? []);
    const known = await marketIds(tx, accountId, table, ids);
    for (const id of ids) if (!known.has(id)) strange.push(`${table.replace('_', ' ')} ${id}`);
  }
  if (strange.length > 0)
    throw new MowingError(
      'not-found',
      `The account has no ${[...new Set(strange)].slice(0, 5).join(', no ')}. Load the page again; nothing was staged.`,
    );
}

/** Takes changes, and those that wait for them, out of the tray. @returns ids of all that were withdrawn */
export async function withdraw(caller: Caller, accountId: number, ids: number[]): Promise<number[]> {
  return recorded(caller, accountId, async (tx, note) => {
    const withdrawn = await withdrawChanges(tx, accountId, ids);
    await dropDrafts(tx, accountId);
    if (withdrawn.length > 0)
      note({ what: 'take out of the tray', subject: 'changes', from: { ids: withdrawn } });
    return withdrawn;
  });
}
