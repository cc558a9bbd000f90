import type { RowReader } from '../conditions';
import { measure, MEASURES } from '../measures';
import type { MeasureKey } from '../measures';
import { sumsOfRow } from './termTable';
import type { TermTable } from './termTable';

/** What is told of a row besides its figures: texts, normalised, and what it is one of. */
interface RowWords {
  term: (row: number) => string;
  place: (row: number) => string;
  termKind: (row: number) => string;
  seen: (row: number) => string;
}

const KEYS = new Set<string>(MEASURES.map(({ key }) => key));

/** Reads a table of search terms for conditions and sorting: measures, texts, kinds. */
export function termReader(table: TermTable, words: RowWords): RowReader {
  const columns = table as unknown as Record<string, Float64Array>;
  return {
    size: table.size,
    number: (key) => {
      if (!KEYS.has(key)) return () => null;
      if (key in table) return (row) => columns[key][row];
      const { of } = measure(key as MeasureKey);
      return (row) => of(sumsOfRow(table, row));
    },
    text: (key) => (key === 'place' ? words.place : words.term),
    choice: (key) => (key === 'termKind' ? words.termKind : key === 'seen' ? words.seen : () => ''),
  };
}
