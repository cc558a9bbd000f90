import { readBack } from '../../core/changes';
import type { FileLine } from '../../core/changes';
import { FileDecoder, findDecimalMark, parseAmount, RecordReader } from '../../connect/reports';
import type { Notation } from '../../connect/reports';
import { asText } from '../../connect/spreadsheet';
import type { FileDifferences } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { accountInfo, needAccount } from '../accounts/accounts';
import { loadChanges } from './loadChanges';

/** Largest change file taken, in characters. */
const MOST_CHARACTERS = 20_000_000;

/**
 * What an edited change file (CSV, XLSX or JSON) says differently from the tray. Nothing is changed by it.
 * @throws MowingError when it is no change file
 */
export async function readChangeFile(
  accountId: number,
  source: AsyncIterable<Uint8Array>,
): Promise<FileDifferences> {
  const account = accountInfo(await needAccount(accountId));
  const { lines, notation } = parseChangeFile(await readAll(asText(source)), account.currency);
  const staged = await loadChanges(accountId, { state: 'staged' });
  return readBack(lines, staged, account.limits, (amount) => parseAmount(amount, 'The value', notation));
}

/**
 * The lines of a change file, CSV or JSON, and how its amounts write decimals.
 * @throws MowingError when it is no change file
 */
export function parseChangeFile(text: string, currency: string): { lines: FileLine[]; notation: Notation } {
  if (text.trimStart().startsWith('{'))
    return { lines: jsonLines(text), notation: { mark: '.', isSure: true, currency } };
  const delimiter = delimiterOf(text);
  const lines = csvLines(text, delimiter);
  const { mark, isSure } = findDecimalMark(
    lines.flatMap(({ bid, to }) => [bid, to]),
    delimiter,
  );
  // Ours leaves with points; only a spreadsheet that parts cells by semicolons may have written others.
  return { lines, notation: { mark, isSure: isSure || delimiter !== ';', currency } };
}

async function readAll(source: AsyncIterable<Uint8Array>): Promise<string> {
  const decoder = new FileDecoder();
  let text = '';
  for await (const part of source) {
    text += decoder.push(part);
    if (text.length > MOST_CHARACTERS)
      throw new MowingError('too-large', `The change file is larger than ${MOST_CHARACTERS / 1e6} MB.`);
  }
  return text + decoder.end();
}

/** What parts the cells of the first line. */
function delimiterOf(text: string): string {
  const first = text.slice(0, Math.max(0, text.indexOf('\n')));
  return [';', '\t', ','].find((one) => first.includes(one)) ?? ',';
}

function csvLines(text: string, delimiter: string): FileLine[] {
  let at: Record<'change' | 'bid' | 'to', number> | null = null;
  const lines: FileLine[] = [];
  const reader = new RecordReader(delimiter, (fields, line) => {
    if (at === null) {
      const headings = fields.map((field) => field.trim().toLowerCase());
      at = { change: headings.indexOf('change'), bid: headings.indexOf('bid'), to: headings.indexOf('to') };
      return;
    }
    if (fields.every((field) => field.trim() === '')) return;
    const cell = (column: number) => fields[column] ?? '';
    lines.push({ line, change: cell(at.change), bid: cell(at.bid), to: cell(at.to) });
  });
  reader.push(text);
  reader.end();
  const found = at as Record<'change' | 'bid' | 'to', number> | null;
  const lacking = (['change', 'bid', 'to'] as const).filter((name) => !found || found[name] < 0);
  if (lacking.length > 0)
    throw new MowingError(
      'unreadable-file',
      `This is no change file: its first line has no column ${lacking.map((name) => `“${name}”`).join(', ')}. Take the change file from the tray and edit that one.`,
    );
  return lines;
}

function jsonLines(text: string): FileLine[] {
  let list: unknown;
  try {
    list = (JSON.parse(text) as { changes?: unknown }).changes;
  } catch (error) {
    throw new MowingError(
      'unreadable-file',
      `The change file is no valid JSON: ${(error as Error).message}.`,
    );
  }
  if (!Array.isArray(list))
    throw new MowingError('unreadable-file', 'This is no change file: it holds no list “changes”.');
  return list.map((one: Record<string, unknown> | null, index) => {
    const text = (name: string) => String(one?.[name] ?? '');
    return { line: index + 1, change: text('id'), bid: text('bid'), to: text('to') };
  });
}
