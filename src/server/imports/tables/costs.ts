import type { TableRow } from '../../../connect/tables';
import type { Query } from '../../../db/connection';
import type { AccountRow } from '../../../db/queries/accounts';
import { listProducts, upsertCosts } from '../../../db/queries/economics';
import type { CostsToKeep } from '../../../db/queries/economics';
import { resolvePlaces } from '../../../db/queries/importPlaces';
import type { TableResult } from './tableResult';

/**
 * Keeps what products cost. A product is found by item code, else by SKU; an item code that is not known yet is made.
 * What the list leaves empty stays unknown, it is not taken as zero.
 */
export async function keepCosts(tx: Query, { id }: AccountRow, rows: TableRow[]): Promise<TableResult> {
  const news = rows.filter(({ itemCode }) => itemCode != null);
  const ids = await resolvePlaces(
    tx,
    id,
    'product',
    news.map((row) => ({ itemCode: String(row.itemCode), product: text(row.product) })),
  );
  const byLine = new Map(news.map(({ line }, at) => [line, ids[at]]));
  const bySku = new Map(
    (await listProducts(tx, id)).flatMap((one) =>
      one.sku === null ? [] : [[one.sku.toLowerCase(), one.id] as const],
    ),
  );
  const refused: TableResult['refused'] = [];
  const list = new Map<number, CostsToKeep>();
  for (const row of rows) {
    const productId = byLine.get(row.line) ?? bySku.get(text(row.sku).toLowerCase());
    if (productId == null)
      refused.push({ line: row.line, reason: `No product has the SKU “${text(row.sku)}”.` });
    else if (list.has(productId))
      refused.push({ line: row.line, reason: 'The row repeats an earlier one: same product.' });
    else if (Number(row.refundRate ?? 0) > 1 || Number(row.refundRate ?? 0) < 0)
      refused.push({ line: row.line, reason: 'The refund rate is between 0 and 100 %.' });
    else list.set(productId, { productId, ...parts(row) });
  }
  const kept = await upsertCosts(tx, id, [...list.values()]);
  return { kept, unchanged: list.size - kept, refused };
}

const text = (value: string | number | null | undefined) => String(value ?? '');
const amount = (value: string | number | null | undefined) => (typeof value === 'number' ? value : null);

function parts({
  price,
  goods,
  fees,
  shipping,
  refundRate,
  recovered,
}: TableRow): Omit<CostsToKeep, 'productId'> {
  return {
    price: amount(price),
    goods: amount(goods),
    fees: amount(fees),
    shipping: amount(shipping),
    refundRate: amount(refundRate),
    recovered: amount(recovered),
  };
}
