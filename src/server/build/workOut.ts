import type { PlanAnswer, PlanLine, PlanProduct } from '../../contract/build';
import { MowingError } from '../../contract/mowingError';
import { campaignsOf, changesOf, checkPlan, crossings, expectOf, lineOf, PART_NAMES } from '../../core/build';
import type { PlannedCampaign } from '../../core/build';
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
    livingChanges(db(), accountId, id),
    listCampaigns(db(), accountId),
  ]);
  const { plan } = row;
  const product = background.products.get(plan.productId);
  const planned = campaignsOf(plan, account.limits);
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
        budgetKind: campaign.fields.budgetKind,
      }),
      campaignId: made.get(campaign.key) ?? null,
    })),
    crossings: crossings(planned, plan.uncrossed),
    lines: linesOf(changes, planned, [plan.productId, ...plan.more]),
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

/** What became of the lines that the plan has now: one that was written otherwise since is another line. */
function linesOf(
  changes: readonly PlanChangeRow[],
  planned: readonly PlannedCampaign[],
  products: readonly number[],
): Record<string, PlanLine> {
  const nowhere = { campaignId: 0, adGroupId: 0 };
  const has = new Set(planned.flatMap((one) => changesOf(one, nowhere, products).map(({ line }) => line)));
  return Object.fromEntries(
    changes.flatMap(({ line, state, id, baleId, answer }) =>
      has.has(line) ? [[line, { state, changeId: id, baleId, answer }]] : [],
    ),
  );
}

const keyOf = (line: string) => line.slice(0, line.indexOf(' | '));

/** The changes of a plan that still count: where its campaign has ended since, nothing of it was made. */
export async function livingChanges(sql: Query, accountId: number, id: number): Promise<PlanChangeRow[]> {
  const changes = await listPlanChanges(sql, accountId, id);
  if (changes.length === 0) return changes;
  const ended = new Set(
    (await listCampaigns(sql, accountId)).flatMap((one) => (one.state === 'archived' ? [one.id] : [])),
  );
  const gone = new Set(
    changes.flatMap(({ line, change }) => {
      const campaign = line === lineOf.campaign(keyOf(line)) ? campaignIdOf(change) : null;
      return campaign !== null && ended.has(campaign) ? [keyOf(line)] : [];
    }),
  );
  return changes.filter(({ line, state }) => state === 'refused' || !gone.has(keyOf(line)));
}

/** The campaigns that stand for a plan's, by key: made, or on their way. */
export function madeBy(changes: readonly PlanChangeRow[]): Map<string, number> {
  return new Map(
    changes.flatMap(({ line, change, state }) => {
      const key = keyOf(line);
      const id = campaignIdOf(change);
      return line === lineOf.campaign(key) && id !== null && state !== 'refused' ? [[key, id] as const] : [];
    }),
  );
}

const campaignIdOf = (change: Change): number | null => ('campaignId' in change ? change.campaignId : null);

/** A product as plans show it. */
export function planProduct(row: ProductRow, { index, has, clicksOf }: Background): PlanProduct {
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
    has: has.get(id) ?? {},
  };
}

/** Fewer clicks say nothing of what one is worth. */
const LEAST_CLICKS = 40;

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
