import type { PlanAnswer } from '../../src/contract/build';
import type { BuildPlan } from '../../src/core/build';
import { beginPlan, savePlan } from '../../src/server/build/plans';
import { market } from '../../src/server/market/market';
import { THIS_MACHINE } from '../../src/server/trail';
import { aTerm } from '../make/plan';
import type { Shop } from './shop';

/** Makes plans for a shop's product, and reads what stands on its market. @param at the shop, once it is there */
export function planMaker(at: () => Shop) {
  let made = 0;
  /** A plan of a part each for the shop's product, with names of its own. */
  const aPlan = async (over: (plan: BuildPlan, fresh: PlanAnswer) => Partial<BuildPlan> = () => ({})) => {
    const { account, product } = at();
    const fresh = await beginPlan(THIS_MACHINE, { account, productId: product });
    const code = `plan ${(made += 1)}`;
    const plan: BuildPlan = {
      ...fresh.plan,
      code,
      terms: ['oak crock', 'elm crock', 'ash crock', 'fir crock', 'yew crock', 'box crock', 'bay crock'].map(
        (text) => aTerm(`${text} ${made}`, ['exact', 'phrase', 'broad']),
      ),
      items: [...fresh.plan.items, { code: `B0PLAN${String(1000 + made)}`, isOwn: false, bid: 410_000 }],
      refined: [
        {
          aim: 'category',
          name: fresh.product.line!,
          refine: { minPrice: fresh.listing!.price },
          against: fresh.listing,
          bid: null,
        },
      ],
      total: 80_000_000,
    };
    return savePlan(THIS_MACHINE, { account, id: fresh.id, plan: { ...plan, ...over(plan, fresh) } });
  };
  const onMarket = async <K extends 'campaigns' | 'ad-groups' | 'ads' | 'targets' | 'negatives'>(kind: K) =>
    (await market().entities(at().key, kind)).items.filter(({ state }) => state !== 'archived');

  return { aPlan, onMarket };
}
