import type { FieldSumsAnswer } from '../../src/contract/api';

const FIGURES = ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'];

/** An answer of the server with rows of plain figures; what is left out is zero. */
export function aFieldAnswer(rows: Record<string, number>[], texts: string[] = []): FieldSumsAnswer {
  const keys = [
    'targetId',
    ...(texts.length > 0 ? ['termId'] : []),
    ...FIGURES,
    ...FIGURES.map((key) => `${key}Before`),
  ];
  return {
    window: { from: '2026-10-16', to: '2026-11-14', unsettled: [], sums: [] },
    before: { from: '2026-09-16', to: '2026-10-15', isCovered: true },
    isCut: false,
    totals: null,
    columns: Object.fromEntries(keys.map((key) => [key, rows.map((row) => row[key] ?? 0)])),
    terms: { id: texts.map((_, at) => at + 1), first: texts.map(() => 20_000), text: texts },
  };
}
