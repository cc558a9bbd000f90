import { marginOf } from '../../core/economics';
import { entitiesOf, kindsThat } from '../../core/changes';
import { PLACEMENT_STEP } from '../../plans/bids';
import type { AccountTreeColumns } from '../../contract/field';
import type { TreeQuery } from '../../contract/requests';
import { NO_TARGETS, oneOfEachForm } from '../../core/structure';
import type { AccountTree, LastChange, TargetColumns } from '../../core/structure';
import type { Day } from '../../core/units';
import { treeBefore } from '../../plans/past';
import { loadSince, loadStood } from '../changes/loadStood';
import { listGoals, listProducts } from '../../db/queries/economics';
import { readTargets } from '../../db/queries/structure';
import type { AccountRow } from '../../db/queries/accounts';
import { listAdGroupNodes, listCampaignNodes, listLastAccepted, listLines } from '../../db/queries/tree';
import { readWordLists } from '../../db/queries/wordLists';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keptRead } from '../context/keptReads';
import { costsOf } from '../economics/products';

/** Which of a tree is asked for. */
interface Asked {
  /** A day that is past: before the changes that were made since. */
  on?: Day;
  /** Left out: all. */
  targets?: TreeQuery['targets'];
}

/** Everything of an account that its figures hang on. */
export async function loadTree(accountId: number, asked: Asked = {}): Promise<AccountTree> {
  const [since, tree] = await Promise.all([
    loadSince(accountId, asked.on),
    loadTreeColumns(accountId, asked),
  ]);
  return treeBefore(tree, since);
}

/** The same with its targets as columns, as they stand now. */
export async function loadTreeColumns(
  accountId: number,
  { on, targets: asked = 'all' }: Asked = {},
): Promise<AccountTreeColumns> {
  const account = await needAccount(accountId, on);
  const [stood, campaigns, adGroups, targets, products, lines, goals, lastChanges, lists] = await Promise.all(
    [
      loadStood(accountId, on),
      listCampaignNodes(db(), accountId),
      listAdGroupNodes(db(), accountId),
      targetsAsked(account, asked),
      listProducts(db(), accountId),
      listLines(db(), accountId),
      listGoals(db(), accountId),
      loadLastChanges(accountId, on),
      readWordLists(db(), accountId),
    ],
  );
  return {
    today: todayOf(account),
    campaigns: stood.of('campaign', campaigns),
    adGroups: stood.of('ad-group', adGroups),
    targets,
    products: products.map((row) => {
      const costs = costsOf(row);
      const { id, itemCode, name, lineId } = row;
      const { rating, stock } = row;
      return {
        id,
        itemCode,
        name,
        lineId,
        price: costs.price,
        margin: marginOf(costs)?.share ?? null,
        rating,
        stock,
      };
    }),
    lines,
    goals: goals.map(({ scope, scopeId, kind, low, high }) => ({ scope, scopeId, kind, low, high })),
    accountAcos: account.targetAcos,
    funds: account.funds,
    lists,
    lastChanges,
  };
}

async function targetsAsked(account: AccountRow, asked: TreeQuery['targets']): Promise<TargetColumns> {
  if (asked === 'none') return NO_TARGETS;
  const all = await loadTargets(account);
  return asked === 'all' ? all : oneOfEachForm(all);
}

/** The targets of an account, from memory where nothing was changed since. */
export const loadTargets = ({ id, revision, figures }: AccountRow): Promise<TargetColumns> =>
  keptRead(`targets ${id}`, `${revision} ${figures}`, () => readTargets(db(), id));

/**
 * The day of the last accepted change of every target, campaign and ad group that was set to something, or made, from here. A base bid that
 * only went along with the modifiers of its campaign leaves what a click may cost as it was: nothing has to be waited for.
 */
async function loadLastChanges(accountId: number, on?: Day): Promise<LastChange[]> {
  const last = new Map<string, LastChange>();
  const kinds = kindsThat(
    ({ sets, makes }) => (sets !== null && sets !== 'name' && sets !== 'day') || makes === 'target',
  );
  for (const { change, madeTargetId, day } of await listLastAccepted(
    db(),
    accountId,
    kinds,
    PLACEMENT_STEP,
    on,
  )) {
    const { target = madeTargetId ?? undefined, adGroup, campaign } = entitiesOf(change);
    const [entity, id] =
      target !== undefined
        ? (['target', target] as const)
        : adGroup !== undefined
          ? (['ad-group', adGroup] as const)
          : (['campaign', campaign!] as const);
    const key = `${entity} ${id}`;
    if ((last.get(key)?.day ?? '') < day) last.set(key, { entity, id, day });
  }
  return [...last.values()];
}
