import type { ReportBlock, ReportColumn, CellUnit, ReportCell } from '../../contract/report';
import { NO_SUMS, SUM_KEYS } from '../../core/measures';
import type { Sums } from '../../core/measures';
import type { ComparedWindow, Window } from '../../core/windows';
import type { AccountRow } from '../../db/queries/accounts';
import { readSums } from '../../db/queries/sums';
import type { Grain, SumsRow } from '../../db/queries/sums';
import { db } from '../context/context';

/** What a part of a report is made from. */
export interface ReportAt {
  account: AccountRow;
  today: string;
  window: Window;
  before: ComparedWindow;
}

/** Makes the blocks of a part. A new part is a file beside the others, a line in their list, and its name in the contract. */
export type MakePart = (at: ReportAt) => Promise<ReportBlock[]>;

/** A group of the account with its sums over both windows; all sales where they are known. Micros. */
export interface GroupSums {
  id: number | null;
  name: string;
  now: Sums;
  before: Sums;
  totalNow: number | null;
  totalBefore: number | null;
}

/** Sums of every group of a grain over the report's days and those before, the most spend first. */
export async function groupsOf({ account, window, before }: ReportAt, grain: Grain): Promise<GroupSums[]> {
  const groups = await readSums(db(), {
    accountId: account.id,
    grain,
    scope: null,
    from: window.from,
    to: window.to,
    before,
    completion: [],
  });
  return groups.map(({ id, name, before: earlier, ...now }) => ({
    id,
    name,
    now: sumsOf(now),
    before: earlier ? sumsOf(earlier) : { ...NO_SUMS },
    totalNow: totalOf(now),
    totalBefore: earlier ? totalOf(earlier) : null,
  }));
}

function sumsOf(row: SumsRow): Sums {
  const sums = { ...NO_SUMS };
  for (const key of SUM_KEYS) sums[key] = Number(row[key]);
  return sums;
}

const totalOf = ({ totalSales }: SumsRow): number | null => (totalSales == null ? null : Number(totalSales));

/** A sentence of a report. */
export const text = (words: string): ReportBlock => ({ kind: 'text', text: words });

/** Columns by label and unit. */
export const columns = (...list: [label: string, unit?: CellUnit][]): ReportColumn[] =>
  list.map(([label, unit = 'text']) => ({ label, unit }));

/** A table, or a sentence where it would have no rows. */
export const tableOr = (
  none: string,
  name: string,
  heads: ReportColumn[],
  rows: ReportCell[][],
  total?: ReportCell[],
): ReportBlock =>
  rows.length === 0 ? text(none) : { kind: 'table', name, columns: heads, rows, ...(total && { total }) };

/** Spend ÷ sales; null without sales. */
export const acosOf = ({ spend, sales }: Pick<Sums, 'spend' | 'sales'>): number | null =>
  sales > 0 ? spend / sales : null;

/** Both known: their difference. */
export const lessOf = (now: number | null, before: number | null): number | null =>
  now === null || before === null ? null : now - before;
