/**
 * The driver counts rows on from where a query stopped that failed or was cancelled among its rows: the next one on that connection gets as many holes
 * before its own. They are taken out before anybody reads the first row.
 */
export function withWholeResults<T extends object>(sql: T): T {
  return new Proxy(sql, {
    apply: (target, self, args) => whole(Reflect.apply(target as never, self, args)),
    get: (target, key) => {
      const value: unknown = Reflect.get(target, key);
      return key === 'unsafe'
        ? (...args: unknown[]) => whole((value as (...all: unknown[]) => unknown)(...args))
        : value;
    },
  });
}

function whole(query: unknown): unknown {
  const own = query as { resolve?: (result: unknown) => void };
  const { resolve } = own;
  if (query instanceof Promise && resolve)
    own.resolve = (result) => {
      if (Array.isArray(result) && result.length > 0 && !(0 in result)) {
        const first = result.findIndex((_, at) => at in result);
        result.splice(0, first < 0 ? result.length : first);
      }
      resolve(result);
    };
  return query;
}
