import { addDays, mondayOf } from '../../core/units';
import type { Day } from '../../core/units';

/** Days, both ends counted. */
export interface Span {
  from: Day;
  to: Day;
}

/** Figures of days and of whole weeks as one table, each row with the spans that it lies in. */
export interface AddedUp {
  /** A list of rows for "from", named by whoever uses it. */
  rows: string;
  /** The same, of those with a click alone. */
  clicked: string;
  /** A condition that holds for rows of a span. @param alias of the list of rows */
  isIn: (name: string, alias: string) => string;
}

/** What is read of a fact: its tables, and the columns wanted of both. */
export interface AddedUpOf {
  table: string;
  weekTable: string;
  columns: readonly string[];
  /** A column on how many days a row was clicked is wanted too. */
  withClickedDays?: boolean;
}

/** A stretch of days that lie in the same spans, up to a day that is not counted. */
interface Stretch {
  from: Day;
  until: Day;
  bits: number;
}

/**
 * The rows of some spans with as few rows as can be: whole weeks from the weeks that are added up, and the days at their ends. The account
 * is the query's first value. Spans may overlap; a row counts for each that it lies in.
 * @throws for what is no day: it would become part of the query's text
 */
export function addedUp(of: AddedUpOf, spans: Record<string, Span>): AddedUp {
  const names = Object.keys(spans);
  const columns = of.columns.join(', ');
  const clicked = (sql: string) => (of.withClickedDays ? `, ${sql} as clicked_days` : '');
  const parts = (where: string) =>
    stretches(Object.values(spans)).flatMap(({ from, until, bits }) => {
      const first = mondayOf(addDays(from, 6));
      const end = mondayOf(until);
      const days = (a: Day, b: Day) =>
        a < b
          ? [
              `select ${columns}${clicked('(clicks > 0)::integer')}, ${bits} as bits from mowing.${of.table} where account_id = $1 and day >= ${literal(a)} and day < ${literal(b)} ${where}`,
            ]
          : [];
      if (first >= end) return days(from, until);
      return [
        `select ${columns}${clicked('clicked_days')}, ${bits} as bits from mowing.${of.weekTable} where account_id = $1 and week >= ${literal(first)} and week < ${literal(end)} ${where}`,
        ...days(from, first),
        ...days(end, until),
      ];
    });
  return {
    rows: `(${parts('').join(' union all ')})`,
    clicked: `(${parts('and clicks > 0').join(' union all ')})`,
    isIn: (name, alias) => `(${alias}.bits & ${1 << names.indexOf(name)}) <> 0`,
  };
}

/** Days that belong to the same spans, together. */
function stretches(spans: readonly Span[]): Stretch[] {
  const ends = [...new Set(spans.flatMap(({ from, to }) => [from, addDays(to, 1)]))].sort();
  const found: Stretch[] = [];
  for (const [at, from] of ends.slice(0, -1).entries()) {
    const bits = spans.reduce(
      (sum, span, bit) => (span.from <= from && from <= span.to ? sum | (1 << bit) : sum),
      0,
    );
    if (bits === 0) continue;
    const last = found.at(-1);
    if (last?.until === from && last.bits === bits) last.until = ends[at + 1];
    else found.push({ from, until: ends[at + 1], bits });
  }
  return found;
}

function literal(day: Day): string {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) throw new Error(`"${day}" is no day.`);
  return `date '${day}'`;
}
