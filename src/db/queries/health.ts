import type { Query } from '../connection';

/** Whether the database answers. */
export const isUp = (sql: Query): Promise<boolean> =>
  sql`select 1`.then(
    () => true,
    () => false,
  );
