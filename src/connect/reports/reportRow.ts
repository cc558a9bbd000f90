import { middleDay } from '../../core/windows';
import type { Window } from '../../core/windows';
import type { Day } from '../../core/units';
import { FIELD_LABELS } from '../../contract/reportFields';
import type { ReportField } from '../../contract/reportFields';
import { parseDays } from './days';
import type { DayOrder } from './days';
import { FIGURE_READERS, shorten } from './figures';
import { readStructure } from './structure';
import type { Fault, Notation } from './figures';
import { placeFields } from './reportSpec';
import { signsOf } from './currency';
import type { ReportSpec } from './reportSpec';

/** One good row of a report. */
export interface ReportRow {
  /** Of a row that sums up several days: the one in their middle. */
  day: Day;
  /** Texts that name the place, in the order of `placeFields`; empty where the report has none. */
  place: string[];
  /** The search term; or the number of the placement (0 top, 1 rest, 2 pages) or hour; null where the kind has no detail. */
  detail: string | number | null;
  /** In the order of the kind's figures; amounts in micros. */
  figures: number[];
  /** The days that the row sums up; null for a row of one day. */
  span: Window | null;
  /** What the row says of bids, budgets (micros) and states, in the order of the kind's structure; null where nothing. */
  values: (string | number | null)[] | null;
}

/** How the rows of one file are to be read. */
export interface RowRules {
  spec: ReportSpec;
  columns: Partial<Record<ReportField, number>>;
  width: number;
  notation: Notation;
  /** How days in numbers are written; null: not known. */
  dayOrder: DayOrder | null;
  /** Last day that a report can speak of. */
  lastDay: Day;
  /** The days that every row sums up, where the file does not tell. */
  period?: Window;
}

const LONGEST_TEXT = 500;

/** Makes the reader of one file's rows: a row, or the reason why it is refused. */
export function reportRowReader(rules: RowRules): (fields: string[]) => ReportRow | Fault {
  const { spec, columns, notation } = rules;
  const known = new Map<string, Window | Fault>();
  const places = placeFields(spec);
  const at = (field: ReportField) => spec.figures.findIndex((figure) => figure.field === field);
  const [clicksAt, impressionsAt] = [at('clicks'), at('impressions')];
  const text = (fields: string[], field: ReportField) => {
    const column = columns[field];
    return column === undefined ? '' : fields[column].trim();
  };
  const readSpan = (raw: string) => {
    let days = known.get(raw);
    if (!days) {
      if (known.size > 5000) known.clear();
      known.set(raw, (days = checkDays(parseDays(raw, rules.dayOrder), rules.lastDay)));
    }
    return days;
  };
  return (fields) => {
    if (fields.length !== rules.width)
      return { reason: `The row has ${fields.length} columns; the headings have ${rules.width}.` };
    const days = rules.period ?? readDays(spec, text(fields, 'day'), text(fields, 'endDay'), readSpan);
    if ('reason' in days) return days;
    const fault = currencyFault(text(fields, 'currency'), rules);
    if (fault !== null) return { reason: fault };
    const place = places.map((field) => tidy(text(fields, field)));
    const missing = missingText(rules, (field) => text(fields, field)) ?? longText(place);
    if (missing !== null) return { reason: missing };
    const detail = readDetail(spec, spec.detail === null ? '' : tidy(text(fields, spec.detail)));
    if (detail !== null && typeof detail === 'object') return detail;
    const figures: number[] = [];
    for (const { field, unit } of spec.figures) {
      const value = FIGURE_READERS[unit](text(fields, field), FIELD_LABELS[field], notation);
      if (typeof value !== 'number') return value;
      figures.push(value);
    }
    if (clicksAt >= 0 && figures[clicksAt] > figures[impressionsAt])
      return { reason: `Clicks (${figures[clicksAt]}) are above impressions (${figures[impressionsAt]}).` };
    const span = days.from === days.to ? null : days;
    const values = readStructure(rules, (field) => text(fields, field));
    return { day: middleDay(days), place, detail, figures, span, values };
  };
}

/** Reports reach back some years; a day from before that is a slip of the hand. */
const MOST_YEARS = 10;

function checkDays(days: Window | Fault, lastDay: Day): Window | Fault {
  if ('reason' in days) return days;
  if (days.to > lastDay) return { reason: `The day ${days.to} has not come yet (today is ${lastDay}).` };
  const first = `${Number(lastDay.slice(0, 4)) - MOST_YEARS}${lastDay.slice(4)}`;
  if (days.from < first) return { reason: `The day ${days.from} is more than ${MOST_YEARS} years ago.` };
  return days;
}

/** The days that a row speaks of. */
function readDays(
  { label, canBeSummed }: ReportSpec,
  begin: string,
  end: string,
  readSpan: (raw: string) => Window | Fault,
): Window | Fault {
  const first = readSpan(begin);
  if ('reason' in first) return first;
  const last = end === '' ? first : readSpan(end);
  if ('reason' in last) return last;
  const [from, to] = [first.from, last.to];
  if (to < from) return { reason: `The row ends (${to}) before it begins (${from}).` };
  return to === from || canBeSummed
    ? { from, to }
    : {
        reason: `The row covers ${from} to ${to}; ${label.toLowerCase()} cannot be summed. Fetch the report by day.`,
      };
}

function currencyFault(text: string, rules: RowRules): string | null {
  const { currency } = rules.notation;
  if (text === '' || signsOf(currency).has(text.toUpperCase())) return null;
  if (!/^[a-z]{3}$/i.test(text)) return `The currency is unknown (${shorten(text)}).`;
  return `The row is in ${text.toUpperCase()}; the account is in ${currency}.`;
}

/** The required texts that a row lacks: an id where the report has ids, else a name. */
function missingText({ spec, columns }: RowRules, text: (field: ReportField) => string): string | null {
  for (const choice of spec.required) {
    const [first] = choice;
    if (first === 'day' || spec.figures.some(({ field }) => field === first)) continue;
    // Where a report has ids, a row without one cannot be placed for certain, whatever its name says.
    const id = choice.find((field) => field.endsWith('Id') && columns[field] !== undefined);
    if (id !== undefined && text(id) === '') return `The ${FIELD_LABELS[id].toLowerCase()} is missing.`;
    if (choice.every((field) => text(field) === ''))
      return `The ${FIELD_LABELS[first].toLowerCase()} is missing.`;
  }
  return null;
}

function longText(texts: string[]): string | null {
  const long = texts.find((text) => text.length > LONGEST_TEXT);
  return long === undefined ? null : `A text is longer than ${LONGEST_TEXT} characters (${shorten(long)}).`;
}

function readDetail({ detail }: ReportSpec, text: string): ReportRow['detail'] | Fault {
  if (detail === null) return null;
  if (detail === 'placement') return readPlacement(text);
  if (detail === 'hour') return readHour(text);
  const long = longText([text]);
  return long === null ? text : { reason: long };
}

function readPlacement(text: string): number | Fault {
  const lower = text.toLowerCase();
  if (lower.includes('top')) return 0;
  if (/rest|other/.test(lower)) return 1;
  if (/page|detail/.test(lower)) return 2;
  return {
    reason: `The placement is unknown (${shorten(text)}): top of search, rest of search or product pages.`,
  };
}

function readHour(text: string): number | Fault {
  const parts = /^(\d{1,2})(?::00(?::00)?)?$/.exec(text);
  const hour = parts ? Number(parts[1]) : 24;
  return hour < 24
    ? hour
    : { reason: `The hour cannot be read (${shorten(text)}); write 0 to 23, or 13:00.` };
}

const UNTIDY = /\s\s|[\t\r\n]/;

/** A text that was given an apostrophe so that no spreadsheet runs it, as it was. */
export function withoutGuard(text: string): string {
  return /^'[=+\-@]/.test(text) ? text.slice(1) : text;
}

function tidy(text: string): string {
  return withoutGuard(UNTIDY.test(text) ? text.replace(/\s+/g, ' ') : text);
}
