import { listProducts, upsertCosts } from '../../db/queries/economics';
import { db } from '../context/context';

/** Parts of the price that the demo's products cost, in turn; made up. */
const PARTS = [
  { goods: 0.29, fees: 0.15, shipping: 0.11, refundRate: 0.03 },
  { goods: 0.36, fees: 0.15, shipping: 0.09, refundRate: 0.05 },
  { goods: 0.24, fees: 0.12, shipping: 0.17, refundRate: 0.02 },
];
/** Every fourth product's costs are left for the user to find out. */
const UNKNOWN_EACH = 4;

/** Gives the products of a demo account costs, except some. */
export async function keepDemoCosts(accountId: number): Promise<void> {
  const products = await listProducts(db(), accountId);
  const cents = (amount: number) => Math.round(amount / 10_000) * 10_000;
  const list = products.flatMap(({ id, marketPrice }, at) => {
    if (marketPrice === null || at % UNKNOWN_EACH === UNKNOWN_EACH - 1) return [];
    const { goods, fees, shipping, refundRate } = PARTS[at % PARTS.length];
    return {
      productId: id,
      price: null,
      goods: cents(marketPrice * goods),
      fees: cents(marketPrice * fees),
      shipping: cents(marketPrice * shipping),
      refundRate,
      recovered: cents(marketPrice * goods * 0.8),
    };
  });
  await upsertCosts(db(), accountId, list);
}
