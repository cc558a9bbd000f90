import type { GrowthAnswer, NewGrowthRequest } from '../../../contract/growth';
import type { RuleInfo } from '../../../contract/rules';
import { MowingError } from '../../../contract/mowingError';
import { USUAL_GROWTH } from '../../../core/growth';
import { largest } from '../../../core/order';
import { USUAL_RULE } from '../../../core/rules';
import type { Rule } from '../../../core/rules';
import { DAYS_PER_MONTH, roundDownToStep } from '../../../core/units';
import { listMembers } from '../../../db/queries/growth';
import { needAccount } from '../../accounts/accounts';
import { loadBackground } from '../../build/background';
import { freshPlan } from '../../build/plans';
import { db } from '../../context/context';
import type { Caller } from '../../trail';
import { loadRules, saveRule } from '../rules';

export const isGrowth = ({ rule }: Pick<RuleInfo, 'rule'>): boolean => rule.growth !== null;

/** An account's growth plans, and the products that have none yet. */
export async function loadGrowthPlans(accountId: number): Promise<GrowthAnswer> {
  const account = await needAccount(accountId);
  const [{ rules }, members, { products }] = await Promise.all([
    loadRules(accountId),
    listMembers(db(), accountId),
    loadBackground(account),
  ]);
  const plans = rules.filter(isGrowth);
  const taken = new Set(plans.map(({ rule }) => rule.scope.id));
  return {
    plans: plans.map((info) => ({
      info,
      product: info.scopeName,
      campaigns: members.filter(({ ruleId }) => ruleId === info.id).length,
    })),
    products: [...products.values()].flatMap(({ id, name }) => (taken.has(id) ? [] : [{ id, name }])),
  };
}

/** A fair chance is the money that so many orders on target may cost. */
const CHANCE_ORDERS = 2;
const CENT = 10_000;
/** The range that is aimed at first: up to the target of the product, from so much of it. */
const LOW = 0.8;

/** Begins a growth plan of a product with what is usual for it; it asks, and is off. @throws MowingError for a product that is not there, or has one */
export async function beginGrowth(
  caller: Caller,
  { account: accountId, productId }: NewGrowthRequest,
): Promise<{ id: number }> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files: no plan runs without a market.`);
  const background = await loadBackground(account);
  const { parts } = freshPlan(account, background, productId);
  const { index, products } = background;
  if ((await loadRules(accountId)).rules.some((one) => isGrowth(one) && one.rule.scope.id === productId))
    throw new MowingError('conflict', 'The product has a growth plan already.');
  const { minBudget } = account.limits;
  const acos = index.aimOf(index.placeOfProduct(productId)).acos ?? account.targetAcos;
  const price = index.products.get(productId)?.price ?? null;
  const chance =
    price === null
      ? USUAL_GROWTH.find.chance.spend
      : Math.max(CENT, roundDownToStep(CHANCE_ORDERS * price * acos, CENT));
  const total = Math.max(USUAL_GROWTH.total, 6 * minBudget);
  const rule: Rule = {
    ...USUAL_RULE,
    name: `Growth of ${products.get(productId)!.name}`.slice(0, 100),
    work: 'growth',
    scope: { kind: 'product', id: productId },
    target: { low: Math.round(acos * LOW * 100) / 100, high: Math.max(0.01, Math.round(acos * 100) / 100) },
    growth: {
      ...USUAL_GROWTH,
      total,
      find: {
        ...USUAL_GROWTH.find,
        bid: parts.auto.bid,
        chance: { ...USUAL_GROWTH.find.chance, spend: chance },
      },
    },
    most: { changes: USUAL_RULE.most.changes, spend: Math.round(total * DAYS_PER_MONTH) },
  };
  const { rules } = await saveRule(caller, { account: accountId, rule });
  return { id: largest(rules.map(({ id }) => id)) };
}
