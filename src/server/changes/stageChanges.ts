import { changeKey, entitiesOf, goesInto, isReplaced } from '../../core/changes';
import type { Change, Named } from '../../core/changes';
import type { NewChange } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { dropDrafts, makersOfDrafts } from '../../db/queries/drafts';
import { insertChange, withdrawChanges } from '../../db/queries/changes';
import type { ChangeToStage } from '../../db/queries/changes';
import { marketIds } from '../../db/queries/structure';
import type { Query } from '../../db/connection';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { TABLES_OF_NAMED } from './tablesOfNamed';

/**
 * Puts changes into the tray, all or none. What is staged or under way already is not staged a second time.
 * @returns ids of the staged changes, in the order given; null for those that were there already
 * @throws MowingError when a change names an ad group or campaign that the account does not have
 */
export async function stageChanges(
  caller: Caller,
  accountId: number,
  list: NewChange[],
): Promise<(number | null)[]> {
  return recorded(caller, accountId, async (tx, note) => {
    const ids = await stageIn(tx, accountId, list);
    note({ what: 'stage', subject: 'changes', to: { ids: ids.filter((id) => id !== null) } });
    return ids;
  });
}

/** The same inside a transaction that does more. */
export async function stageIn(tx: Query, accountId: number, list: NewChange[]): Promise<(number | null)[]> {
  await checkPlaces(
    tx,
    accountId,
    list.map((one) => one.change),
  );
  const makers = await makersOfDrafts(tx, accountId);
  const staged: { id: number; isNew: boolean }[] = [];
  for (const [index, one] of list.entries()) {
    if (one.after !== undefined && !(one.after < index))
      throw new MowingError(
        'bad-request',
        `changes[${index}].after must name an earlier change of the request.`,
      );
    // What goes into a draft waits until the draft is made.
    const afterId =
      one.after === undefined ? (makers.get(goesInto(one.change) ?? 0) ?? null) : staged[one.after].id;
    staged.push(await insertChange(tx, accountId, toStage(one, afterId)));
  }
  return staged.map(({ id, isNew }) => (isNew ? id : null));
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
