import type { Transaction } from '../connection';
import type { AddedUp } from './addedUp';

/** Whether a list has more rows than so many: counted no further. */
export async function isMoreThan(
  tx: Transaction,
  accountId: number,
  { rows }: AddedUp,
  most: number,
): Promise<boolean> {
  const [{ many }] = await tx.unsafe<[{ many: boolean }]>(
    `select count(*) > ${most} as many from (select from ${rows} f limit ${most + 1}) s`,
    [accountId],
  );
  return many;
}

/** Which rows are read: a condition on a list of them named f, and the query's values from the second on. */
export interface Only {
  where: string;
  values: string[];
}

export const ALL: Only = { where: 'true', values: [] };

const KEY = '(f.target_id::bigint << 32 | f.term_id)';

/**
 * Only terms that were clicked, as their targets caught them. They are found first and handed over as a list: the others, eight of nine, are
 * passed by without being grouped, and several workers of the database can share in it.
 */
export async function clickedOnly(tx: Transaction, accountId: number, { clicked }: AddedUp): Promise<Only> {
  const [{ keys }] = await tx.unsafe<[{ keys: string | null }]>(
    `select array_agg(distinct ${KEY})::text as keys from ${clicked} f`,
    [accountId],
  );
  return { where: `${KEY} = any($2::bigint[])`, values: [keys ?? '{}'] };
}
