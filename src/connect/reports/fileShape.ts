import { largest } from '../../core/order';
import { MowingError } from '../../contract/mowingError';
import type { ReportField } from '../../contract/reportFields';
import { matchHeadings } from './fields';
import type { HeadingMatch, HeadingSpec } from './fields';
import { currencyOfHeading, signsOf } from './currency';
import { findDayOrder } from './days';
import type { DayOrder } from './days';
import { findDecimalMark } from './figures';
import type { DecimalMark, Notation } from './figures';
import { RecordReader } from './recordReader';
import type { ReportSpec } from './reportSpec';

/** Fields that hold money: from them the decimal mark is found. */
const AMOUNTS: ReportField[] = [
  'spend',
  'sales',
  'refundedSales',
  'price',
  'goods',
  'fees',
  'shipping',
  'bid',
  'defaultBid',
  'budget',
];
const DELIMITERS = [',', ';', '\t', '|'];
/** Headings may stand below a few lines of title; ones that were met before, or are pointed at, below some more. */
const LINES_TO_SEARCH = 10;
export const LINES_TO_CHOOSE = 30;
/** What is kept of the first lines, so that the one with the headings can be pointed at: cells of a line, characters of a cell. */
const [MOST_CELLS, MOST_CHARACTERS] = [12, 60];

/** What the beginning of a file tells about the whole. */
export interface FileShape {
  delimiter: string;
  headings: string[];
  /** Number of records before the headings. */
  skip: number;
  notation: Notation;
  /** How its days in numbers are written; null: nothing told. */
  dayOrder: DayOrder | null;
  /** What only its sender knows. */
  asks: FileAsks;
  /** The first records, shortened. */
  firstLines: string[][];
}

/** What a file can be read as in two ways, each with a value that shows it; null where it is sure. */
export interface FileAsks {
  decimals: string | null;
  dayOrder: string | null;
}

/** What was said before of files with the same headings. */
export interface MetHeadings {
  /** Heading -> field, chosen by hand. */
  matched: Record<string, ReportField | ''>;
  decimals: DecimalMark | null;
  dayOrder: DayOrder | null;
}

/** What is known of a file's headings beside the file. */
export interface HeadingHints {
  /** Which record holds the headings, from 1: somebody pointed at it. */
  headingLine?: number;
  /** What was said before, by set of headings (`headingSet`). */
  met?: ReadonlyMap<string, MetHeadings>;
  /** What its sender says of it. */
  decimals?: DecimalMark;
  dayOrder?: DayOrder;
}

/**
 * Finds delimiter, headings and decimal mark from the first text of a file.
 * @throws MowingError when the text is empty or a web page, or has no such line of headings
 */
export function findShape(
  spec: ReportSpec | HeadingSpec,
  sample: string,
  currency: string,
  hints: HeadingHints = {},
): FileShape {
  const start = sample.trimStart().slice(0, 200).toLowerCase();
  if (start === '')
    throw new MowingError(
      'unreadable-file',
      'The file is empty. Nothing was taken in. Fetch the report again.',
    );
  if (/^(<!doctype|<html|<\?xml|<head|<body|<script)/.test(start))
    throw new MowingError(
      'unreadable-file',
      'The file is a web page, not a report: the download may have saved a sign-in page. Nothing was taken in. Fetch the report again while signed in.',
    );
  const delimiter = findDelimiter(sample);
  const records = sampleRecords(sample, delimiter);
  const skip = findHeadings(spec, records, hints);
  const headings = (records[skip] ?? []).map((heading) => heading.trim());
  const rows = records.slice(skip + 1);
  const met = hints.met?.get(headingSet(headings));
  const { columns } = matchHeadings(spec, headings, currency, met?.matched);
  const samples = (fields: ReportField[]) =>
    rows.flatMap((cells) =>
      fields.map((field) => (columns[field] === undefined ? '' : (cells[columns[field]] ?? ''))),
    );
  const decimals = hints.decimals ?? met?.decimals ?? null;
  const found = findDecimalMark(samples(AMOUNTS), delimiter);
  const days = findDayOrder(samples(['day', 'endDay']));
  const dayOrder = hints.dayOrder ?? met?.dayOrder ?? days.order;
  return {
    delimiter,
    headings,
    skip,
    notation: { mark: decimals ?? found.mark, isSure: decimals !== null || found.isSure, currency },
    dayOrder,
    asks: {
      decimals: decimals === null && !found.isSure ? found.either : null,
      dayOrder: dayOrder === null ? days.either : null,
    },
    firstLines: records
      .slice(0, LINES_TO_CHOOSE)
      .map((fields) => fields.slice(0, MOST_CELLS).map((cell) => cell.trim().slice(0, MOST_CHARACTERS))),
  };
}

function findDelimiter(sample: string): string {
  const lines = sample
    .replace(/"[^"]*"/g, '')
    .split('\n')
    .slice(0, LINES_TO_SEARCH);
  const score = (delimiter: string) => largest(lines.map((line) => line.split(delimiter).length));
  return DELIMITERS.reduce((best, one) => (score(one) > score(best) ? one : best));
}

function sampleRecords(sample: string, delimiter: string): string[][] {
  const records: string[][] = [];
  const reader = new RecordReader(delimiter, (fields) => records.push(fields));
  try {
    reader.push(sample);
    if (records.length === 0) reader.end();
  } catch (error) {
    if (records.length === 0) throw error;
  }
  return records.slice(0, 500);
}

function findHeadings(
  spec: ReportSpec | HeadingSpec,
  records: string[][],
  { headingLine, met }: HeadingHints,
): number {
  if (headingLine !== undefined) {
    if (headingLine > records.length)
      throw new MowingError(
        'unreadable-file',
        `The file has ${records.length} lines with text, so line ${headingLine} cannot hold its headings. Nothing was taken in.`,
      );
    return headingLine - 1;
  }
  const known = records.slice(0, LINES_TO_CHOOSE).findIndex((fields) => met?.has(headingSet(fields)));
  if (known >= 0) return known;
  const matched = (fields: string[]) => Object.keys(matchHeadings(spec, fields, '').columns).length;
  let best = 0;
  const count = Math.min(records.length, LINES_TO_SEARCH);
  for (let at = 1; at < count; at += 1)
    if (matched(records[at]) > Math.max(2, matched(records[best]))) best = at;
  return best;
}

/** The match of headings by hand and by wording. @throws MowingError when the headings are not a table's at all */
export function matchShape(
  spec: ReportSpec | HeadingSpec,
  shape: FileShape,
  byHand: Record<string, ReportField | ''>,
): HeadingMatch {
  const { currency } = shape.notation;
  if (shape.headings.length < 2)
    throw new MowingError(
      'unreadable-file',
      'The file has only one column. Nothing was taken in. A report has columns parted by comma, semicolon or tab, with headings in the first line.',
    );
  const match = matchHeadings(spec, shape.headings, currency, byHand);
  for (const field of AMOUNTS) {
    const heading = match.columns[field] === undefined ? '' : shape.headings[match.columns[field]];
    const other = currencyOfHeading(heading);
    if (other !== null && !signsOf(currency).has(other.toUpperCase()))
      throw new MowingError(
        'unreadable-file',
        `The column “${heading}” is in ${other}; the account is in ${currency}. Nothing was taken in. Fetch the report in ${currency}, or import it into an account in ${other}.`,
      );
  }
  return match;
}

/** Equal for files with the same headings in any order and case. */
export function headingSet(headings: string[]): string {
  return headings
    .map((heading) => heading.trim().toLowerCase())
    .sort()
    .join('\u001f');
}
