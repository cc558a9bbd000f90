import { FIELD_LABELS } from '../../contract/reportFields';
import type { ReportField } from '../../contract/reportFields';
import { MowingError } from '../../contract/mowingError';
import { MAX_MODIFIER } from '../../core/changes';
import {
  FileDecoder,
  findShape,
  headingSet,
  matchShape,
  parseAmount,
  readBudgetKind,
  readState,
  RecordReader,
  signsOf,
  withoutGuard,
} from '../reports';
import type { FileAsks, FileHints, HeadingMatch, Notation } from '../reports';
import type { CellType, TableSpec } from './tableSpec';

/** One good row: texts, amounts in micros, shares; null where the file has nothing. */
export type TableRow = Partial<Record<ReportField, string | number | null>> & { line: number };

/** A list as it was read. */
export interface ReadTable {
  headings: string[];
  firstLines: string[][];
  headingLine: number;
  asks: FileAsks;
  match: HeadingMatch;
  rows: TableRow[];
  refused: { line: number; reason: string; text: string }[];
}

/** Largest list taken, in characters: it is held in memory. */
const MOST_CHARACTERS = 100_000_000;

/**
 * Reads a list whole. Good rows are kept, bad ones told with line and reason.
 * @param currency the account's
 * @throws MowingError when the file as a whole cannot be trusted
 */
export async function readTable(
  spec: TableSpec,
  source: AsyncIterable<Uint8Array>,
  currency: string,
  hints: Omit<FileHints, 'period'>,
): Promise<ReadTable> {
  const text = await readAll(source);
  const shape = findShape(spec, text.slice(0, 65_536), currency, hints);
  const { headings, firstLines, skip, notation, asks } = shape;
  const match = matchShape(spec, shape, hints.met.get(headingSet(headings))?.matched ?? {});
  const table: ReadTable = {
    headings,
    firstLines,
    headingLine: skip + 1,
    asks,
    match,
    rows: [],
    refused: [],
  };
  if (match.missing.length > 0 || asks.decimals !== null) return table;
  let records = 0;
  const reader = new RecordReader(shape.delimiter, (fields, line) => {
    records += 1;
    if (records <= shape.skip + 1 || fields.every((field) => field.trim() === '')) return;
    const row = readRow(spec, match, fields, line, notation);
    if ('reason' in row)
      table.refused.push({
        line,
        reason: String(row.reason),
        text: fields.join(shape.delimiter).slice(0, 1000),
      });
    else table.rows.push(row);
  });
  reader.push(text);
  reader.end();
  if (table.rows.length + table.refused.length === 0)
    throw new MowingError('unreadable-file', 'The file has headings but no rows. Nothing was taken in.');
  return table;
}

async function readAll(source: AsyncIterable<Uint8Array>): Promise<string> {
  const decoder = new FileDecoder();
  const parts: string[] = [];
  let characters = 0;
  for await (const part of source) {
    const text = decoder.push(part);
    characters += text.length;
    if (characters > MOST_CHARACTERS)
      throw new MowingError(
        'too-large',
        `The list is larger than ${MOST_CHARACTERS / 1e6} MB. Nothing was taken in. Split it.`,
      );
    parts.push(text);
  }
  return parts.join('') + decoder.end();
}

function readRow(
  spec: TableSpec,
  { columns }: HeadingMatch,
  fields: string[],
  line: number,
  notation: Notation,
): TableRow | { reason: string } {
  const row: TableRow = { line };
  for (const field of spec.fields) {
    const column = columns[field];
    const text = column === undefined ? '' : (fields[column] ?? '').trim();
    const value = text === '' ? null : readCell(spec.types[field]!, field, text, notation);
    if (value !== null && typeof value === 'object') return value;
    row[field] = value;
  }
  if (row.currency && !signsOf(notation.currency).has(String(row.currency).toUpperCase()))
    return {
      reason: `The row is in ${String(row.currency).toUpperCase()}; the account is in ${notation.currency}.`,
    };
  const lacking = spec.required.find((choice) => choice.every((field) => row[field] === null));
  return lacking ? { reason: `The ${FIELD_LABELS[lacking[0]].toLowerCase()} is missing.` } : row;
}

function readCell(
  type: CellType,
  field: ReportField,
  text: string,
  notation: Notation,
): string | number | { reason: string } {
  const label = FIELD_LABELS[field];
  switch (type) {
    case 'amount':
      return parseAmount(text, label, notation);
    case 'share':
      return readShare(text, label, notation.mark);
    case 'state':
      return readState(text, label);
    case 'budget kind':
      return readBudgetKind(text, label);
    case 'modifier':
      return readModifier(text, label, notation.mark);
    case 'scope':
      return readScope(text);
    default:
      return withoutGuard(text.replace(/\s+/g, ' ')).slice(0, 500);
  }
}

/** The number before a per cent sign, or alone; null where there is none. */
function bareNumber(text: string, mark: '.' | ','): number | null {
  const bare = text
    .replace('%', '')
    .replace(mark === ',' ? ',' : '_', '.')
    .trim();
  const value = Number(bare);
  return bare === '' || !Number.isFinite(value) ? null : value;
}

/** "24 %" and "24" are 0.24, "0.24" too: a share above 1 is taken as per cent. */
function readShare(text: string, label: string, mark: '.' | ','): number | { reason: string } {
  const value = bareNumber(text, mark);
  if (value === null) return { reason: `${label} is no percentage (${text}).` };
  return text.includes('%') || Math.abs(value) > 1 ? value / 100 : value;
}

/** Modifiers are told in per cent: "40 %" and "40" are 0.4. What could be a share as well is asked for, not guessed. */
function readModifier(text: string, label: string, mark: '.' | ','): number | { reason: string } {
  const value = bareNumber(text, mark);
  const most = MAX_MODIFIER * 100;
  if (value === null || value < 0 || value > most)
    return { reason: `${label} is a percentage from 0 to ${most}, not ${text}.` };
  if (!text.includes('%') && value > 0 && value < 1)
    return { reason: `${label} is told in per cent; ${text} could be a share. Write 40 % for 40 per cent.` };
  return value / 100;
}

function readScope(text: string): string | { reason: string } {
  const word = text.toLowerCase().replace(/[\s_]+/g, '-');
  if (['account', 'line', 'product', 'campaign', 'ad-group'].includes(word)) return word;
  if (word === 'product-line') return 'line';
  return { reason: `The scope is one of account, line, product, campaign, ad group, not ${text}.` };
}
