import type { FieldSumsAnswer } from '../../contract/api';
import { noSumColumns, SUM_KEYS } from '../../core/lenses';
import type { GrainSums } from '../../core/lenses';

/** Sums of a grain, made ready for the lenses. */
export type LoadedSums = Pick<FieldSumsAnswer, 'window' | 'before' | 'isCut'> & {
  grainSums: GrainSums;
  terms: FieldSumsAnswer['terms'];
};

const IDS = ['targetId', 'adGroupId', 'termId', 'campaignId', 'placement'] as const;

/** An answer's columns as typed columns. */
export function toGrainSums({ window, before, isCut, columns, totals, terms }: FieldSumsAnswer): LoadedSums {
  const size = columns.impressions.length;
  const grainSums: GrainSums = {
    size,
    now: noSumColumns(size),
    before: noSumColumns(size),
    isBeforeCovered: before.isCovered,
    ...(totals && { totalSales: new Map(Array.from(totals.id, (id, at) => [id, totals.sales[at]])) }),
  };
  for (const key of SUM_KEYS) {
    grainSums.now[key] = Float64Array.from(columns[key]);
    grainSums.before[key] = Float64Array.from(columns[`${key}Before`]);
  }
  for (const key of IDS) if (columns[key]) grainSums[key] = Int32Array.from(columns[key]);
  return {
    window,
    before,
    isCut,
    grainSums,
    terms,
  };
}
