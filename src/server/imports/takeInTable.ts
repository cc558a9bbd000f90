import type { TableResult } from './tables/tableResult';
import type { Caller } from '../trail';
import { closeImport, openImport, showInHand } from './openImport';
import { asText } from '../../connect/spreadsheet';
import { readTable, TABLE_SPECS } from '../../connect/tables';
import type { ReadTable, TableRow } from '../../connect/tables';
import { MowingError } from '../../contract/mowingError';
import type { TableKind } from '../../contract/reportFields';
import type { AccountRow } from '../../db/queries/accounts';
import type { ImportEnd } from '../../db/queries/imports';
import type { Query } from '../../db/connection';
import { db, log } from '../context/context';
import { hintsOf, keepPointedAt } from './givenFile';
import type { GivenFile } from './givenFile';
import { importMessage, refusedMessage } from './importMessage';
import { keepCosts } from './tables/costs';
import { keepEntities } from './tables/entities';
import { keepGoals } from './tables/goals';

type Keeper = (tx: Query, account: AccountRow, rows: TableRow[]) => Promise<TableResult>;
const KEEPERS: Record<TableKind, Keeper> = { costs: keepCosts, goals: keepGoals, entities: keepEntities };

/** Takes in a list: whole, in one transaction; bad rows are listed, good ones kept. @returns the id of the import */
export async function takeInTable(
  caller: Caller,
  account: AccountRow,
  kind: TableKind,
  source: AsyncIterable<Uint8Array>,
  file: GivenFile,
): Promise<number> {
  const importId = await openImport(caller, account.id, kind, file);
  const letGo = showInHand(importId, () => ({ state: 'reading', bytesRead: 0, read: 0 }));
  try {
    if (file.period !== undefined)
      throw new MowingError('bad-request', 'A list has no days; import it without a period.');
    const hints = await hintsOf(account, kind, file);
    const table = await readTable(TABLE_SPECS[kind], asText(source), account.currency, hints);
    await keepPointedAt(account.id, kind, file, table.headings);
    const isRead = table.match.missing.length === 0 && table.asks.decimals === null;
    await db().begin(async (tx) => {
      const result = isRead ? await KEEPERS[kind](tx, account, table.rows) : null;
      const unfit = (result?.refused ?? []).map((row) => ({ ...row, text: '' }));
      const refused = [...table.refused, ...unfit].sort((a, b) => a.line - b.line);
      await closeImport(tx, account.id, importId, endOf(kind, table, result, refused.length), refused);
    });
  } catch (error) {
    if (!(error instanceof MowingError)) log().error({ err: error, importId }, 'import failed');
    const end = { ...blank, message: refusedMessage(error) };
    await db().begin((tx) => closeImport(tx, account.id, importId, end, []));
  } finally {
    letGo();
  }
  return importId;
}

const blank: ImportEnd = {
  state: 'refused',
  read: 0,
  kept: 0,
  unchanged: 0,
  refused: 0,
  headings: [],
  matched: {},
  unmatched: [],
  unread: [],
  asks: { decimals: null, dayOrder: null },
  several: [],
  sums: [],
  firstLines: [],
  headingLine: null,
  byName: false,
  firstDay: null,
  lastDay: null,
  message: '',
};

function endOf(
  kind: TableKind,
  { headings, firstLines, headingLine, asks, match, rows, refused: unread }: ReadTable,
  result: TableResult | null,
  refused: number,
): ImportEnd {
  const matched = Object.fromEntries(
    Object.entries(match.columns).map(([field, column]) => [headings[column], field]),
  );
  const known = {
    ...blank,
    headings,
    firstLines,
    headingLine,
    matched,
    unmatched: match.missing,
    unread: match.unread,
    asks,
    several: match.several,
  };
  if (result === null) {
    const end: ImportEnd = { ...known, state: 'needs-mapping' };
    return { ...end, message: importMessage(kind, end, '') };
  }
  const { kept, unchanged } = result;
  const state = kept + unchanged === 0 ? 'refused' : 'done';
  const end: ImportEnd = { ...known, state, read: rows.length + unread.length, kept, unchanged, refused };
  return { ...end, message: importMessage(kind, end, result.remark ?? '') };
}
