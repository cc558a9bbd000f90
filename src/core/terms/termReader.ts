import type { RowReader } from '../conditions';
import { measure, MEASURES } from '../measures';
import type { MeasureKey } from '../measures';
import { sumsOfRow } from './termTable';
import type { TermTable } from './termTable';

/** Texts of a row that are not in the table itself, normalised. */
interface RowTexts {
  term: (row: number) => string;
  place: (row: number) => string;
}

const KEYS = new Set<string>(MEASURES.map(({ key }) => key));

/** Reads a table of search terms for conditions and sorting: measures and texts; it knows nothing else. */
export function termReader(table: TermTable, texts: RowTexts): RowReader {
  const columns = table as unknown as Record<string, Float64Array>;
  return {
    size: table.size,
    number: (key) => {
      if (!KEYS.has(key)) return () => null;
      if (key in table) return (row) => columns[key][row];
      const { of } = measure(key as MeasureKey);
      return (row) => of(sumsOfRow(table, row));
    },
    text: (key) => (key === 'place' ? texts.place : texts.term),
    choice: () => () => '',
  };
}
