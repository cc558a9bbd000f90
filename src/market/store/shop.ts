import { dayNumber } from '../../core/units';
import { listingOf } from '../sim';
import type { ShopSettings, SimState, World } from '../sim';
import type { MarketDb, MarketTx } from './connection';

/** The products of a world as they are listed on a day. */
export const listedProducts = (world: World, day: string, { shop = {} }: Pick<SimState, 'shop'>) =>
  world.products.map(({ id, lineId, itemCode, sku, name }, at) => ({
    id,
    lineId,
    itemCode,
    sku,
    name,
    ...listingOf(world, at, dayNumber(day), shop),
  }));

/** Brings what the market lists of an account's products up to a day; only what differs counts as changed. */
export async function listProductsOn(
  tx: MarketTx,
  account: string,
  world: World,
  day: string,
  state: Pick<SimState, 'shop'>,
): Promise<void> {
  const rows = listedProducts(world, day, state).map(({ id, price, rating, stock, discount }) => ({
    id,
    price,
    rating,
    stock,
    discount,
  }));
  const changed = await tx`
    update quaymarket.product p set price = e.price, rating = e.rating, stock = e.stock, discount = e.discount, changed = a.changes + 1
    from jsonb_to_recordset(${tx.json(rows)}) as e(id text, price bigint, rating float8, stock integer, discount float8), quaymarket.account a
    where p.account_id = ${account} and a.account_id = ${account} and p.id = e.id
      and (p.price, p.rating, p.stock, p.discount) is distinct from (e.price, e.rating, e.stock, e.discount)
    returning p.id`;
  if (changed.length > 0)
    await tx`update quaymarket.account set changes = changes + 1 where account_id = ${account}`;
}

/** Sets price, rating or stock of a product, as its seller would in the shop. @returns false when there is no such product */
export async function setInShop(
  sql: MarketDb,
  account: string,
  world: World,
  id: string,
  set: ShopSettings[string],
): Promise<boolean> {
  if (!world.products.some((one) => one.id === id)) return false;
  await sql.begin(async (tx) => {
    const [{ today, state }] = await tx<{ today: string; state: SimState }[]>`
      select today, state from quaymarket.account where account_id = ${account} for update`;
    const shop = { ...state.shop, [id]: { ...state.shop?.[id], ...set } };
    await tx`
      update quaymarket.account set state = jsonb_set(state, '{shop}', ${tx.json(shop as never)}) where account_id = ${account}`;
    await listProductsOn(tx, account, world, today, { shop });
  });
  return true;
}
