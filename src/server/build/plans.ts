import type { NewPlanRequest, PlanAnswer, PlanInfo, PlanRequest, PlansAnswer } from '../../contract/build';
import { MowingError } from '../../contract/mowingError';
import { newPlan, planLike } from '../../core/build';
import type { BuildPlan } from '../../core/build';
import { PLACEMENTS } from '../../core/structure';
import type { AccountRow } from '../../db/queries/accounts';
import { insertPlan, listLaunchedPlans, listPlans, throwPlan, updatePlan } from '../../db/queries/buildPlans';
import { keepNamePattern } from '../../db/queries/accounts';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { loadBackground, offersOf } from './background';
import type { Background } from './background';
import { needPlan, planProduct, workOut } from './workOut';

/** The account's plans, the last changed first, and the products that plans can be for. */
export async function loadPlans(accountId: number): Promise<PlansAnswer> {
  const account = await needAccount(accountId);
  const [rows, launched, background] = await Promise.all([
    listPlans(db(), accountId),
    listLaunchedPlans(db(), accountId),
    loadBackground(account),
  ]);
  return {
    plans: rows.map(({ id, plan, changedAt, isThrown }): PlanInfo => ({
      id,
      productId: plan.productId,
      product: background.products.get(plan.productId)?.name ?? `Product ${plan.productId}`,
      code: plan.code,
      isLaunched: launched.has(id),
      isThrown,
      changedAt,
    })),
    products: [...background.products.values()].map((row) => planProduct(row, background)),
  };
}

/** Begins a plan for a product, or the same as another plan for it. @throws MowingError for a product or plan that is not there */
export async function beginPlan(
  caller: Caller,
  { account: accountId, productId, like }: NewPlanRequest,
): Promise<PlanAnswer> {
  const account = await needAccount(accountId);
  const fresh = freshPlan(account, await loadBackground(account), productId);
  const plan = like === undefined ? fresh : planLike((await needPlan(db(), accountId, like)).plan, fresh);
  return savePlan(caller, { account: accountId, plan });
}

/** Own items are found by themselves up to so many; where the catalogue is larger, they are pasted. */
const MOST_OWN_ITEMS = 100;

/** A plan for a product as it begins. @throws MowingError for a product that is not there */
export function freshPlan(account: AccountRow, background: Background, productId: number): BuildPlan {
  const product = background.products.get(productId);
  if (!product)
    throw new MowingError('not-found', `The account has no product ${productId}. Nothing was changed.`);
  const { index, worth, usualCpc, products } = background;
  const others = [...products.values()].filter(({ id }) => id !== productId).map(({ itemCode }) => itemCode);
  return newPlan({
    productId,
    code: product.sku ?? product.itemCode,
    pattern: account.namePattern,
    limits: account.limits,
    offers: offersOf(account.options),
    groups: account.options?.autoGroups ?? [],
    worth: (part) => worth(part, productId),
    targetAcos: index.aimOf(index.placeOfProduct(productId)).acos,
    usualCpc,
    modifiers: usualModifiers(background),
    ownItems: others.length <= MOST_OWN_ITEMS ? others : [],
  });
}

/** The modifier that most of the account's campaigns have at each placement. */
function usualModifiers({ index }: Background) {
  const running = index.tree.campaigns.filter(({ id }) => index.campaignRuns(id));
  const middle = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
  const [top, rest, pages] = PLACEMENTS.map((placement) => middle(running.map((one) => one[placement])));
  return { top, rest, pages };
}

/** Keeps a plan, whatever its faults: they are told. @throws MowingError 'not-found' for an id that the account does not have */
export async function savePlan(
  caller: Caller,
  { account: accountId, id, plan }: PlanRequest,
): Promise<PlanAnswer> {
  await needAccount(accountId);
  const kept = await recorded(caller, accountId, async (tx, note) => {
    if (id === undefined) {
      const made = await insertPlan(tx, accountId, plan);
      note({ what: 'begin plan', subject: `plan ${made}`, to: { productId: plan.productId } });
      return made;
    }
    const { plan: before } = await needPlan(tx, accountId, id);
    if (plan.pattern !== before.pattern) await keepNamePattern(tx, accountId, plan.pattern);
    await updatePlan(tx, accountId, id, withHomes(plan, before));
    note({
      what: 'edit plan',
      subject: `plan ${id}`,
      from: changedIn(before, plan),
      to: changedIn(plan, before),
    });
    return id;
  });
  return workOut(accountId, kept);
}

/** A launched term stands where it stands, also when an edit from before the launch is brought back. */
function withHomes(plan: BuildPlan, before: BuildPlan): BuildPlan {
  const homes = new Map(before.terms.map(({ text, home }) => [text, home]));
  return {
    ...plan,
    terms: plan.terms.map((term) => {
      const home = term.home ?? homes.get(term.text);
      return home === undefined ? term : { ...term, home };
    }),
  };
}

/** The parts of a plan that another one has otherwise. */
const changedIn = (plan: BuildPlan, other: BuildPlan) =>
  Object.fromEntries(
    Object.entries(plan).filter(
      ([word, value]) => JSON.stringify(value) !== JSON.stringify(other[word as keyof BuildPlan]),
    ),
  );

/** Throws a plan away, or takes it back; what it has made stays. */
export async function throwAway(
  caller: Caller,
  { account, id, back }: { account: number; id: number; back: boolean },
): Promise<{ id: number }> {
  await needAccount(account);
  return recorded(caller, account, async (tx, note) => {
    await needPlan(tx, account, id);
    await throwPlan(tx, account, id, !back);
    note({ what: back ? 'take plan back' : 'throw plan away', subject: `plan ${id}` });
    return { id };
  });
}
