import { FIELD_LABELS } from '../../contract/reportFields';
import { FIGURE_READERS } from './figures';
import type { RowRules } from './reportRow';

const TOTAL = /^(grand |overall )?(total|totals|sum)s?\b\s*:?$/i;

/** What a line holds beside its figures; null: more than two. Asked of every line, so it looks no further than it must. */
function fewTexts(fields: string[], isFigure: ReadonlySet<number>): string[] | null {
  const texts: string[] = [];
  for (let at = 0; at < fields.length; at += 1) {
    if (fields[at] === '' || isFigure.has(at)) continue;
    const text = fields[at].trim();
    if (text !== '' && texts.push(text) > 2) return null;
  }
  return texts;
}

/**
 * Makes the reader of a file's own total lines: figures under "Total", with neither a day nor an id.
 * @returns a line's figures in the order of the kind's, NaN where it leaves one open; null for any other line
 */
export function totalLineReader({
  spec,
  columns,
  width,
  notation,
}: RowRules): (fields: string[]) => number[] | null {
  const isFigure = new Set<number>(spec.figures.flatMap(({ field }) => columns[field] ?? []));
  return (fields) => {
    if (fields.length > width) return null;
    // Beside the word nothing but a currency may stand: a campaign may be called "Total" too.
    const texts = fewTexts(fields, isFigure);
    if (!texts?.some((text) => TOTAL.test(text))) return null;
    if (
      columns.day !== undefined &&
      !TOTAL.test(fields[columns.day].trim()) &&
      fields[columns.day].trim() !== ''
    )
      return null;
    return spec.figures.map(({ field, unit }) => {
      const text = columns[field] === undefined ? '' : (fields[columns[field]] ?? '').trim();
      if (text === '') return NaN;
      const value = FIGURE_READERS[unit](text, FIELD_LABELS[field], notation);
      return typeof value === 'number' ? value : NaN;
    });
  };
}
