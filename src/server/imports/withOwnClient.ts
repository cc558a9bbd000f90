import { connect, databaseUrl } from '../../db/connection';
import type { Transaction } from '../../db/connection';

/**
 * A COPY whose connection is lost never ends by itself: an import gets a client of its own, whose loss aborts it. The
 * driver fails, where nobody can catch it, at any query behind the loss: none is let through, a ROLLBACK neither.
 */
export async function withOwnClient<T>(work: (tx: Transaction) => Promise<T>): Promise<T> {
  let ending = false;
  let isLost = false;
  let onLost = (_error: Error) => {};
  const lost = new Promise<never>((_, reject) => (onLost = reject));
  lost.catch(() => {});
  const told = new Error('The connection to the database was lost.');
  const client = connect(databaseUrl(), {
    max: 1,
    onclose: () => {
      isLost = true;
      if (!ending) onLost(told);
    },
  });
  const guarded = (tx: Transaction) =>
    new Proxy(tx, {
      apply: (query, self, args) => {
        if (isLost) throw told;
        return Reflect.apply(query as never, self, args) as unknown;
      },
    });
  const carefully = async (tx: Transaction) => {
    try {
      return await work(guarded(tx));
    } catch (error) {
      if (isLost) await new Promise(() => {});
      throw error;
    }
  };
  try {
    return (await Promise.race([client.begin(carefully), lost])) as T;
  } finally {
    ending = true;
    await client.end({ timeout: 1 });
  }
}
