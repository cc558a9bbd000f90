import { transferHandlers } from 'comlink';
import type { TransferHandler } from 'comlink';
import { shareColumns } from './shareColumns';

/** Stands between texts; no text of a database holds it. */
const BETWEEN = '\u0000';
/** Shorter lists travel as they are. */
const LEAST = 1000;
/** Texts that repeat so often travel once each. */
const REPEATS = 4;

/** A list of texts on its way: as one text, and where texts repeat, which of them stands in each row. */
interface PackedTexts {
  texts: string;
  rows: Int32Array | null;
}

/** What a worker answers about what it has loaded: columns of up to a hundred thousand rows, and texts of them in its table. */
interface Answer {
  loadId: number;
  table?: Record<string, unknown>;
}

interface Sent {
  rest: object;
  table?: Record<string, unknown>;
  texts: Record<string, PackedTexts>;
}

function packTexts(list: readonly string[]): PackedTexts {
  const places = new Map<string, number>();
  const rows = new Int32Array(list.length);
  for (let row = 0; row < list.length; row += 1) {
    let place = places.get(list[row]);
    if (place === undefined) {
      place = places.size;
      // Given up where most are unlike: then nothing is won by it.
      if (place * REPEATS > list.length) return { texts: list.join(BETWEEN), rows: null };
      places.set(list[row], place);
    }
    rows[row] = place;
  }
  return { texts: [...places.keys()].join(BETWEEN), rows };
}

function unpackTexts({ texts, rows }: PackedTexts): string[] {
  const list = texts.split(BETWEEN);
  if (rows === null) return list;
  const all = new Array<string>(rows.length);
  for (let row = 0; row < rows.length; row += 1) all[row] = list[rows[row]];
  return all;
}

const isTextList = (value: unknown): value is string[] =>
  Array.isArray(value) && value.length >= LEAST && typeof value[0] === 'string';

/** A value whose texts travel packed: a list of a hundred thousand, text by text, would hold up the page's own thread. */
export const packTable = ({ table, ...rest }: Answer): Sent => {
  if (!table) return { rest, texts: {} };
  const lists = Object.entries(table).filter(([, column]) => isTextList(column));
  const names = new Set(lists.map(([name]) => name));
  return {
    rest,
    table: Object.fromEntries(Object.entries(table).filter(([name]) => !names.has(name))),
    texts: Object.fromEntries(lists.map(([name, list]) => [name, packTexts(list as string[])])),
  };
};

export const unpackTable = ({ rest, table, texts }: Sent): Answer =>
  ({
    ...rest,
    ...(table && {
      table: {
        ...table,
        ...Object.fromEntries(Object.entries(texts).map(([name, packed]) => [name, unpackTexts(packed)])),
      },
    }),
  }) as Answer;

const handler: TransferHandler<Answer, Sent> = {
  canHandle: (value: unknown): value is Answer =>
    typeof value === 'object' && value !== null && 'loadId' in value,
  serialize: (value) => {
    // Pages and workers share memory where nothing of another origin can be in them; the server's headers see to that.
    if (globalThis.crossOriginIsolated) shareColumns(value);
    return [packTable(value), []];
  },
  deserialize: unpackTable,
};

/** Lets a worker's answers travel quickly; on both sides of the line. */
export function answersTravelLight(): void {
  transferHandlers.set('answer', handler as TransferHandler<unknown, unknown>);
}
