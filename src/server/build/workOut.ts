import type { PlanAnswer, PlanLine, PlanProduct } from '../../contract/build';
import { MowingError } from '../../contract/mowingError';
import { campaignsOf, checkPlan, crossings, expectOf, lineOf, PART_NAMES, PARTS } from '../../core/build';
import type { PartName } from '../../core/build';
import { marginOf } from '../../core/economics';
import type { Change } from '../../core/changes';
import type { ProductRow } from '../../db/queries/economics';
import { findPlan, listPlanChanges } from '../../db/queries/buildPlans';
import type { PlanChangeRow, PlanRow } from '../../db/queries/buildPlans';
import { listCampaigns } from '../../db/queries/structure';
import type { Query } from '../../db/connection';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { costsOf } from '../economics/products';
import { groundOf, loadBackground } from './background';
import type { Background } from './background';

/** @throws MowingError 'not-found' when the account has no such plan */
export async function needPlan(sql: Query, accountId: number, id: number): Promise<PlanRow> {
  const row = await findPlan(sql, accountId, id);
  if (!row)
    throw new MowingError(
      'not-found',
      `The account has no plan ${id}. GET /api/build lists them; nothing was changed.`,
    );
  return row;
}

/** A plan worked out: what it would make, every fault at once, and what became of what was launched. */
export async function workOut(accountId: number, id: number): Promise<PlanAnswer> {
  const account = await needAccount(accountId);
  const row = await needPlan(db(), accountId, id);
  const [background, changes, campaigns] = await Promise.all([
    loadBackground(account),
    listPlanChanges(db(), accountId, id),
    listCampaigns(db(), accountId),
  ]);
  const { plan } = row;
  const product = background.products.get(plan.productId);
  const planned = campaignsOf(plan);
  const made = madeBy(changes);
  const taken = campaigns.filter(({ state }) => state !== 'archived');
  const ground = groundOf(account, background, taken, todayOf(account), new Set(made.values()));
  const { lineId } = background.index.placeOfProduct(plan.productId);
  const { index, likes, worth } = background;
  return {
    id,
    plan,
    changedAt: row.changedAt,
    isThrown: row.isThrown,
    product: product ? planProduct(product, background) : noProduct(plan.productId),
    listing: listingOf(product),
    faults: checkPlan(plan, planned, ground),
    campaigns: planned.map((campaign) => ({
      ...campaign,
      expected: expectOf(likes, {
        part: campaign.part,
        productId: plan.productId,
        lineId,
        count: campaign.targets.length,
        budget: campaign.budget,
      }),
      campaignId: made.get(campaign.key) ?? null,
    })),
    crossings: crossings(planned, plan.uncrossed),
    lines: linesOf(changes),
    categories: index.tree.lines.map(({ name }) => name),
    brands: background.brands,
    worth: Object.fromEntries(
      PART_NAMES.flatMap((part) => {
        const value = worth(part, plan.productId);
        return value === null ? [] : [[part, value]];
      }),
    ),
  };
}

const listingOf = (product: ProductRow | undefined) =>
  product?.marketPrice == null ? null : { price: product.marketPrice, rating: product.rating };

export const linesOf = (changes: readonly PlanChangeRow[]): Record<string, PlanLine> =>
  Object.fromEntries(
    changes.map(({ line, state, id, baleId, answer }) => [line, { state, changeId: id, baleId, answer }]),
  );

/** The campaigns that stand for a plan's, by key: made, or on their way. */
export function madeBy(changes: readonly PlanChangeRow[]): Map<string, number> {
  return new Map(
    changes.flatMap(({ line, change, state }) => {
      const key = line.slice(0, line.indexOf(' | '));
      const id = campaignIdOf(change);
      return line === lineOf.campaign(key) && id !== null && state !== 'refused' ? [[key, id] as const] : [];
    }),
  );
}

const campaignIdOf = (change: Change): number | null => ('campaignId' in change ? change.campaignId : null);

/** A product as plans show it. */
export function planProduct(row: ProductRow, { index, ownCodes, clicksOf }: Background): PlanProduct {
  const costs = costsOf(row);
  const margin = marginOf(costs)?.share ?? null;
  const { clicks, sales } = clicksOf(row.id);
  const { id, name, itemCode, sku, line, lineId, rating, stock, discount } = row;
  return {
    id,
    name,
    itemCode,
    sku,
    line,
    lineId,
    price: costs.price,
    rating,
    stock,
    discount,
    margin,
    breakEvenCpc: margin !== null && clicks >= LEAST_CLICKS ? Math.round((sales / clicks) * margin) : null,
    targetAcos: index.aimOf(index.placeOfProduct(id)).acos,
    has: partsOf(index, ownCodes, id),
  };
}

/** Fewer clicks say nothing of what one is worth. */
const LEAST_CLICKS = 40;

function partsOf(
  index: Background['index'],
  own: ReadonlySet<string>,
  productId: number,
): PlanProduct['has'] {
  const has: Partial<Record<PartName, number>> = {};
  for (const target of index.tree.targets) {
    const place = index.placeOfTarget(target.id);
    if (place.productId !== productId || target.state !== 'enabled' || !index.campaignRuns(place.campaignId))
      continue;
    const part = PARTS.find(({ holds }) => holds(target, own.has(target.expression.toUpperCase())));
    if (part) has[part.name] = (has[part.name] ?? 0) + 1;
  }
  return has;
}

const noProduct = (id: number): PlanProduct => ({
  id,
  name: `Product ${id}`,
  itemCode: '',
  sku: null,
  line: null,
  lineId: null,
  price: null,
  rating: null,
  stock: null,
  discount: null,
  margin: null,
  breakEvenCpc: null,
  targetAcos: null,
  has: {},
});
