import { USUAL_PLAN_CHOICES } from '../../src/contract/choices';
import { RIGHTS } from '../../src/contract/people';
import type { AccountInfo } from '../../src/contract/api';
import type { ReviewData } from '../../src/contract/review';
import { USUAL_LIMITS } from '../../src/core/changes';
import { termContext } from '../../src/core/terms';
import type { TermTable } from '../../src/core/terms';
import type { LoadedReview } from '../../src/plans/terms';
import { aStructure, aTermTable } from './terms';
import type { TermSpec } from './terms';

export const anAccountInfo = (over: Partial<AccountInfo> = {}): AccountInfo => ({
  id: 1,
  name: 'Tarnbrook Ferments',
  currency: 'EUR',
  rights: RIGHTS,
  targetAcos: 0.24,
  connected: true,
  today: '2026-11-23',
  firstDay: '2026-09-24',
  sums: [],
  lastDay: '2026-11-22',
  limits: USUAL_LIMITS,
  options: null,
  funds: null,
  choices: USUAL_PLAN_CHOICES,
  timezone: 'UTC',
  revision: 1,
  ...over,
});

/** A window of thirty days as the server sends it. */
export function aReview(specs: TermSpec[], over: Partial<ReviewData> = {}): ReviewData {
  const { size: _size, history, ...columns } = aTermTable(specs);
  const rows = Object.fromEntries(
    Object.entries(columns).map(([key, values]) => [key, Array.from(values as ArrayLike<number | string>)]),
  );
  return {
    account: anAccountInfo(),
    window: { from: '2026-10-21', to: '2026-11-19', unsettled: [], sums: [] },
    structure: aStructure(),
    margins: [],
    routes: [],
    lists: { own: [], rival: [], unwanted: [] },
    historyDays: history!.days,
    rows: {
      ...rows,
      ...Object.fromEntries(
        history!.recent.flatMap(({ days, spend, sales }) => [
          [`spend${days}`, [...spend]],
          [`sales${days}`, [...sales]],
        ]),
      ),
      allClicks: [...history!.clicks],
      allSpend: [...history!.spend],
      allOrders: [...history!.orders],
      allSales: [...history!.sales],
    } as unknown as ReviewData['rows'],
    negativeLists: [],
    isCut: false,
    ...over,
  };
}

/** The same as the page holds it. */
export function aLoadedReview(specs: TermSpec[], over: Partial<ReviewData> = {}): LoadedReview {
  const { rows: _rows, ...data } = aReview(specs, over);
  const table: TermTable = aTermTable(specs);
  const context = termContext(table, data.structure);
  const column = (of: (row: number) => number) => Float64Array.from(table.term, (_, row) => of(row));
  return {
    loadId: 1,
    ...data,
    table,
    estimates: {
      rpc: column((row) => context.value(row)?.mean ?? 0),
      low: column((row) => context.value(row)?.low ?? 0),
      high: column((row) => context.value(row)?.high ?? 0),
      grade: new Uint8Array(table.size),
    },
    kinds: new Uint8Array(table.size),
    isNew: new Uint8Array(table.size),
  };
}
