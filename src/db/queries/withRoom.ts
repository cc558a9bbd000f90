import type { Db, Transaction } from '../connection';

/**
 * Runs one large question with room for its sums in memory: half a million groups do not fit what a plain query may use,
 * and would be sorted on disk.
 */
export async function withRoom<T>(sql: Db, ask: (tx: Transaction) => Promise<T>): Promise<T> {
  return (await sql.begin(async (tx) => {
    await tx`set local work_mem = '192MB'`;
    return ask(tx);
  })) as T;
}
