import { connect, databaseUrl } from '../../db/connection';
import type { Transaction } from '../../db/connection';
import { ownClients } from './context';
import type { OwnClient } from './context';

function open(): OwnClient {
  const client: OwnClient = {
    sql: connect(databaseUrl(), { max: 1, onclose: () => client.onLost?.() }),
    onLost: null,
  };
  return client;
}

/**
 * A COPY whose connection is lost never ends by itself: an import gets a client of its own, whose loss aborts it. The
 * driver fails, where nobody can catch it, at any query behind the loss: none is let through, a ROLLBACK neither.
 */
export async function withOwnClient<T>(work: (tx: Transaction) => Promise<T>): Promise<T> {
  const spares = ownClients();
  const client = spares.pop() ?? open();
  const told = new Error('The connection to the database was lost.');
  let isLost = false;
  const lost = new Promise<never>((_, reject) => {
    client.onLost = () => {
      isLost = true;
      reject(told);
    };
  });
  lost.catch(() => {});
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
    return (await Promise.race([client.sql.begin(carefully), lost])) as T;
  } finally {
    client.onLost = null;
    // Whatever was open before the context was closed ends with it.
    if (isLost || ownClients() !== spares) await client.sql.end({ timeout: 1 });
    else spares.push(client);
  }
}
