/** A query that took long: its text without its values, and from being asked to its last row, waiting for a connection included. */
export interface SlowQuery {
  text: string;
  ms: number;
}

type OnSlow = (query: SlowQuery) => void;
type Work = (tx: object) => unknown;

/** A query that takes longer is told: MOWING_SLOW_QUERY_MS, 2,000 unless told otherwise. */
const slowMs = () => Number(process.env.MOWING_SLOW_QUERY_MS) || 2000;
const MOST_TEXT = 400;

/**
 * Looks at every query of a pool and of its transactions: slow ones are told, and rows come whole. The driver counts rows on from where a
 * query stopped that failed or was cancelled among its rows: the next one on that connection gets as many holes before its own. They are
 * taken out before anybody reads the first row.
 */
export function watched<T extends object>(sql: T, onSlow: OnSlow): T {
  const opened = (args: unknown[]) =>
    args.map((arg) => (typeof arg === 'function' ? (tx: object) => (arg as Work)(watched(tx, onSlow)) : arg));
  return new Proxy(sql, {
    apply: (target, self, args) => watch(Reflect.apply(target as never, self, args), onSlow),
    get: (target, key) => {
      const value: unknown = Reflect.get(target, key);
      const call = value as (...all: unknown[]) => unknown;
      if (key === 'unsafe') return (...args: unknown[]) => watch(call(...args), onSlow);
      if (key === 'begin' || key === 'savepoint') return (...args: unknown[]) => call(...opened(args));
      return value;
    },
  });
}

interface Driven {
  resolve?: (result: unknown) => void;
  reject: (error: unknown) => void;
  strings: readonly string[];
}

function watch(query: unknown, onSlow: OnSlow): unknown {
  const own = query as Driven;
  const { resolve, reject } = own;
  if (!(query instanceof Promise) || !resolve) return query;
  const from = performance.now();
  const tellSlow = () => {
    const ms = performance.now() - from;
    if (ms < slowMs()) return;
    const text = own.strings.join('…').replace(/\s+/g, ' ').trim();
    onSlow({ text: text.slice(0, MOST_TEXT), ms: Math.round(ms) });
  };
  own.resolve = (result) => {
    tellSlow();
    if (Array.isArray(result) && result.length > 0 && !(0 in result)) {
      const first = result.findIndex((_, at) => at in result);
      result.splice(0, first < 0 ? result.length : first);
    }
    resolve(result);
  };
  own.reject = (error) => {
    tellSlow();
    reject(error);
  };
  return query;
}
