import { productsBy } from '../../core/build';
import type { RuledSet } from '../../core/findings';
import { groupBy } from '../../core/order';
import { marginOf } from '../../core/economics';
import { listPlanChanges, listPlans } from '../../db/queries/buildPlans';
import { listProducts } from '../../db/queries/economics';
import { listAds } from '../../db/queries/refined';
import { db } from '../context/context';
import { costsOf } from '../economics/products';

/** The ad groups that launched plans have made for products by a rule: what their ads show, and what fits the rule now. */
export async function ruledSets(accountId: number): Promise<RuledSet[]> {
  const plans = (await listPlans(db(), accountId)).filter(
    ({ plan, isThrown }) => !isThrown && plan.rule !== null,
  );
  if (plans.length === 0) return [];
  const [changes, products] = await Promise.all([
    listPlanChanges(db(), accountId, null),
    listProducts(db(), accountId),
  ]);
  const made = changes.flatMap(({ planId, change, state }) =>
    state === 'accepted' && 'defaultBid' in change ? [{ planId, adGroupId: change.adGroupId }] : [],
  );
  const ads = groupBy(
    await listAds(
      db(),
      accountId,
      made.map(({ adGroupId }) => adGroupId),
    ),
    ({ adGroupId }) => adGroupId,
  );
  const ruled = products.map((row) => {
    const costs = costsOf(row);
    const { id, lineId, stock, discount } = row;
    return { id, lineId, price: costs.price, margin: marginOf(costs)?.share ?? null, stock, discount };
  });
  return plans.flatMap(({ id, plan }) => {
    const others = ruled.filter((one) => one.id !== plan.productId);
    const wants = [plan.productId, ...productsBy(plan.rule!, others).map((one) => one.id)];
    return made
      .filter(({ planId }) => planId === id)
      .map(({ adGroupId }) => ({ adGroupId, wants, has: ads.get(adGroupId) ?? [] }));
  });
}
