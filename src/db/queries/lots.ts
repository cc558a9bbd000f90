import type { MarketChange } from '../../contract/market';
import type { Query } from '../connection';

/** Changes that are handed to the market at once. */
export interface Lot {
  no: number;
  /** The market never carries out a key twice. */
  key: string;
  asked: MarketChange[];
}

/** The lot of a bale that was written down and has no answer yet. */
export async function findOpenLot(sql: Query, accountId: number, baleId: number): Promise<Lot | undefined> {
  const rows = await sql<Lot[]>`
    select lot_no as no, lot_key as key, asked from mowing.lot
    where account_id = ${accountId} and bale_id = ${baleId} and not is_answered order by lot_no limit 1`;
  return rows[0];
}

export async function insertLot(
  sql: Query,
  accountId: number,
  baleId: number,
  { key, asked }: Omit<Lot, 'no'>,
): Promise<Lot> {
  const [{ no }] = await sql<{ no: number }[]>`
    insert into mowing.lot (account_id, bale_id, lot_no, lot_key, asked)
    select ${accountId}, ${baleId}, coalesce(max(lot_no), 0) + 1, ${key}, ${sql.json(asked as never)}
    from mowing.lot where account_id = ${accountId} and bale_id = ${baleId} returning lot_no as no`;
  return { no, key, asked };
}

export async function closeLot(sql: Query, accountId: number, baleId: number, no: number): Promise<void> {
  await sql`
    update mowing.lot set is_answered = true where account_id = ${accountId} and bale_id = ${baleId} and lot_no = ${no}`;
}
