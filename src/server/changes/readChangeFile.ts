import { readBack } from '../../core/changes';
import type { FileLine } from '../../core/changes';
import {
  delimiterOf,
  findDecimalMark,
  parseAmount,
  readNamedColumns,
  readWhole,
} from '../../connect/reports';
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
  const { lines, notation } = parseChangeFile(
    await readWhole(asText(source), MOST_CHARACTERS, 'change file'),
    account.currency,
  );
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
  const lines = csvLines(text);
  const { mark, isSure } = findDecimalMark(
    lines.flatMap(({ bid, to }) => [bid, to]),
    delimiter,
  );
  // Ours leaves with points; only a spreadsheet that parts cells by semicolons may have written others.
  return { lines, notation: { mark, isSure: isSure || delimiter !== ';', currency } };
}

const csvLines = (text: string): FileLine[] =>
  readNamedColumns(text, ['change', 'bid', 'to'], {
    what: 'change file',
    instead: 'Take the change file from the tray and edit that one.',
  });

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
