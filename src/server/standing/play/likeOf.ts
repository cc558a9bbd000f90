import type { PlayLike } from '../../../core/played';
import type { Rule } from '../../../core/rules';
import { indexTree } from '../../../core/structure';
import type { Place, TreeIndex } from '../../../core/structure';
import { daysIn } from '../../../core/units';
import type { AccountRow } from '../../../db/queries/accounts';
import { offersOf } from '../../build/background';
import { loadFieldSums } from '../../field/loadFieldSums';
import { loadTree } from '../../field/loadTree';
import { ruleReader } from '../ruleReader';

/** What the targets of a scope are like together. */
export interface ScopeLike {
  like: PlayLike;
  /** Left of a price before ads, share; null where it is not known for what sold. */
  margin: number | null;
  /** Clicks that it was learnt from; 0: nothing in the scope was clicked yet, and the account's own stand for it. */
  clicks: number;
}

/** Priced like so much where no price is known, micros. */
const USUAL_PRICE = 20_000_000;
/** Orders of a click where nothing sold yet. */
const USUAL_CONVERSION = 0.08;
/** Clicks that the account's own conversion counts for, where a scope has few. */
const PRIOR_CLICKS = 100;

interface Sum {
  clicks: number;
  orders: number;
  sales: number;
  priced: number;
  price: number;
  margined: number;
  margin: number;
  products: Set<number>;
  targets: number;
}

/** What a rule works in is like: a market like it is played. */
export async function likeOf(account: AccountRow, rule: Rule): Promise<ScopeLike> {
  const { scope, target } = rule;
  const [tree, { columns, window }] = await Promise.all([
    loadTree(account.id),
    loadFieldSums({ account: account.id, grain: 'target', from: 'last60', to: 'settled' }),
  ]);
  const index = indexTree(tree);
  const isIn = await ruleReader(account.id, rule);
  const isOwn = (id: number, place: Place) => isIn({ kind: 'target', id, place });
  const [own, all] = [nothing(), nothing()];
  for (let row = 0; row < columns.targetId.length; row += 1) {
    const id = columns.targetId[row];
    const place = index.placeOfTarget(id);
    const { price = null, margin = null } = index.products.get(place.productId) ?? {};
    for (const sum of isOwn(id, place) ? [own, all] : [all]) {
      const [clicks, orders, sales] = [columns.clicks[row], columns.orders[row], columns.sales[row]];
      sum.clicks += clicks;
      sum.orders += orders;
      sum.sales += sales;
      if (clicks > 0) sum.products.add(place.productId);
      if (price !== null) {
        sum.priced += clicks;
        sum.price += clicks * price;
      }
      if (margin !== null) {
        sum.margined += sales;
        sum.margin += sales * margin;
      }
    }
  }
  countTargets(own, all, index, isOwn);
  const known = own.clicks > 0 ? own : all;
  const offers = offersOf(account.options);
  const days = daysIn(window.from, window.to);
  const products = Math.max(1, known.products.size);
  const usual = all.clicks > 0 ? all.orders / all.clicks : USUAL_CONVERSION;
  const ownPrice = scope.kind === 'product' ? (index.products.get(scope.id)?.price ?? null) : null;
  const ownMargin = scope.kind === 'product' ? (index.products.get(scope.id)?.margin ?? null) : null;
  return {
    clicks: own.clicks,
    margin:
      ownMargin ??
      (known.margined > 0 && known.margined >= 0.5 * known.sales ? known.margin / known.margined : null),
    like: {
      products,
      targets: Math.max(1, Math.round(known.targets / products)),
      price: ownPrice ?? (known.priced > 0 ? Math.round(known.price / known.priced) : USUAL_PRICE),
      clicksPerDay: Math.max(1, known.clicks / days / products),
      conversion: Math.max(0.005, (known.orders + PRIOR_CLICKS * usual) / (known.clicks + PRIOR_CLICKS)),
      targetAcos: target ? (target.low + target.high) / 2 : account.targetAcos,
      limits: account.limits,
      matches: [...offers.matches],
      modifiers: [...offers.modifiers],
      autoGroups: account.options?.autoGroups ?? [],
    },
  };
}

const nothing = (): Sum => ({
  clicks: 0,
  orders: 0,
  sales: 0,
  priced: 0,
  price: 0,
  margined: 0,
  margin: 0,
  products: new Set(),
  targets: 0,
});

function countTargets(
  own: Sum,
  all: Sum,
  index: TreeIndex,
  isOwn: (id: number, place: Place) => boolean,
): void {
  for (const { id, state } of index.tree.targets) {
    const place = index.placeOfTarget(id);
    if (state !== 'enabled' || !index.campaignRuns(place.campaignId)) continue;
    all.targets += 1;
    if (isOwn(id, place)) own.targets += 1;
  }
}
