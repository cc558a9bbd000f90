import type { Query } from '../connection';

/** What the database's clock says, ms since 1970; null where it does not answer. */
export const databaseTime = (sql: Query): Promise<number | null> =>
  sql<{ now: number }[]>`select extract(epoch from clock_timestamp())::float8 * 1000 as now`.then(
    ([{ now }]) => now,
    () => null,
  );
