import { raiseRevision } from '../../db/queries/accounts';
import { breakEven, marginOf, missingCosts } from '../../core/economics';
import type { ProductCosts } from '../../core/economics';
import { goalFinder } from '../../core/goals';
import { businessMeasure, ratio } from '../../core/measures';
import { settledWindow, unsettledDays, WINDOW_DAYS } from '../../core/windows';
import { addDays } from '../../core/units';
import type { ProductInfo, ProductsAnswer } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import { listGoals, listProducts, upsertCosts } from '../../db/queries/economics';
import type { ProductRow } from '../../db/queries/economics';
import { readSums } from '../../db/queries/sums';
import type { SumsGroup } from '../../db/queries/sums';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keptRead, spanKey } from '../context/keptReads';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { loadCompletion } from '../sync/loadCompletion';

export type { ProductCosts };

/** What a product costs: by hand, with the market's price where none is set. */
export function costsOf(row: ProductRow): ProductCosts {
  const { goods, fees, shipping, refundRate, recovered } = row;
  return { price: row.ownPrice ?? row.marketPrice, goods, fees, shipping, refundRate, recovered };
}

/** Every product with its costs, what they leave, and what its ads did in the usual window. */
export async function loadProducts(accountId: number): Promise<ProductsAnswer> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const late = unsettledDays(await loadCompletion(accountId, today));
  const { from, to } = settledWindow(account.lastDay ?? addDays(today, -1), today, WINDOW_DAYS, late);
  const [products, goals, sums] = await Promise.all([
    listProducts(db(), accountId),
    listGoals(db(), accountId),
    keptRead(`product sums ${accountId} ${spanKey({ from, to })}`, String(account.figures), () =>
      readSums(db(), { accountId, grain: 'product', scope: null, from, to, before: null, completion: [] }),
    ),
  ]);
  const byProduct = new Map(sums.map((one) => [one.id, one]));
  const findGoal = goalFinder(goals, account.targetAcos);
  return {
    window: { from, to },
    products: products.map((row) => productInfo(row, byProduct.get(row.id), findGoal)),
  };
}

function productInfo(
  row: ProductRow,
  sums: SumsGroup | undefined,
  findGoal: ReturnType<typeof goalFinder>,
): ProductInfo {
  const costs = costsOf(row);
  const margin = marginOf(costs);
  const { clicks, orders } = sums ?? { clicks: 0, orders: 0 };
  const [spend, sales] = [Number(sums?.spend ?? 0), Number(sums?.sales ?? 0)];
  const adSums = {
    impressions: sums?.impressions ?? 0,
    clicks,
    orders,
    units: sums?.units ?? 0,
    spend,
    sales,
  };
  const totalSales = sums?.totalSales == null ? null : Number(sums.totalSales);
  const {
    id,
    itemCode,
    sku,
    name,
    lineId,
    line,
    marketPrice,
    ownPrice,
    goods,
    fees,
    shipping,
    refundRate,
    recovered,
  } = row;
  const place = { lineId, productId: id, campaignId: null, adGroupId: null };
  const goal = findGoal(place, margin?.share ?? null);
  return {
    id,
    itemCode,
    sku,
    name,
    lineId,
    line,
    marketPrice,
    costs: { price: ownPrice, goods, fees, shipping, refundRate, recovered },
    missing: missingCosts(costs),
    margin: margin && { perUnit: margin.perUnit, share: margin.share },
    breakEven: margin && breakEven(margin, ratio(orders, clicks), ratio(sales, orders)),
    target: { acos: goal.acos, scope: goal.goal.scope, kind: goal.goal.kind },
    sums: { ...adSums, totalSales },
    profit: businessMeasure('profit').of({ ...adSums, totalSales, margin: margin?.share ?? null }),
  };
}

/** Sets what a product costs. @throws MowingError when the account has no such product */
export async function setCosts(
  caller: Caller,
  accountId: number,
  productId: number,
  costs: ProductCosts,
): Promise<void> {
  await needAccount(accountId);
  const before = (await listProducts(db(), accountId)).find(({ id }) => id === productId);
  if (!before) throw new MowingError('not-found', `The account has no product ${productId}.`);
  await recorded(caller, accountId, async (tx, note) => {
    await upsertCosts(tx, accountId, [{ productId, ...costs }]);
    await raiseRevision(tx, accountId);
    note({ what: 'set costs', subject: `product ${productId}`, from: costsOf(before), to: costs });
  });
}
