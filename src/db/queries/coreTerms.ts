import type { Query } from '../connection';

/** A term that is pinned to the core list of a product. */
export interface PinnedTerm {
  productId: number;
  /** In match form. */
  form: string;
  term: string;
}

export async function listPinned(sql: Query, accountId: number): Promise<PinnedTerm[]> {
  return sql<PinnedTerm[]>`
    select product_id as "productId", form, term from mowing.core_term where account_id = ${accountId} order by product_id, pinned_at`;
}

export async function pinTerm(
  sql: Query,
  accountId: number,
  { productId, form, term }: PinnedTerm,
): Promise<void> {
  await sql`
    insert into mowing.core_term (account_id, product_id, form, term) values (${accountId}, ${productId}, ${form}, ${term})
    on conflict (account_id, product_id, form) do update set term = excluded.term`;
}

/** @returns false when it was not pinned */
export async function unpinTerm(
  sql: Query,
  accountId: number,
  { productId, form }: Pick<PinnedTerm, 'productId' | 'form'>,
): Promise<boolean> {
  const rows = await sql`
    delete from mowing.core_term where account_id = ${accountId} and product_id = ${productId} and form = ${form} returning 1`;
  return rows.length > 0;
}
