import { normaliseTerm } from '../../core/matching';
import { ratio } from '../../core/measures';
import type { Sums } from '../../core/measures';
import type { Structure } from '../../core/structure';
import type { TargetSumsAnswer } from '../../contract/api';
import type { SortKey } from './useFieldState';

/** One target with its sums. Money in micros. */
export interface TargetRow {
  id: number;
  expression: string;
  /** "exact", "phrase", "broad", or what kind of target it is. */
  kind: string;
  campaign: string;
  adGroup: string;
  state: string;
  /** Null: the ad group's default bid counts. */
  bid: number | null;
  sums: Sums;
  spendBefore: number;
  /** What is searched. */
  text: string;
}

const KEYS = ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const;

/** The rows of the field: every target that is not archived, or had days in the windows. */
export function targetRows(structure: Structure, { sums: columns }: TargetSumsAnswer): TargetRow[] {
  const campaigns = new Map(structure.campaigns.map(({ id, name }) => [id, name]));
  const adGroups = new Map(structure.adGroups.map((one) => [one.id, one]));
  const at = new Map(columns.targetId.map((id, index) => [id, index]));
  return structure.targets.flatMap((target) => {
    const index = at.get(target.id);
    if (target.state === 'archived' && index === undefined) return [];
    const adGroup = adGroups.get(target.adGroupId);
    const campaign = campaigns.get(adGroup?.campaignId ?? 0) ?? '';
    const sums = Object.fromEntries(KEYS.map((key) => [key, index === undefined ? 0 : columns[key][index]]));
    return {
      id: target.id,
      expression: target.expression,
      kind: target.match ?? target.kind,
      campaign,
      adGroup: adGroup?.name ?? '',
      state: target.state,
      bid: target.bid,
      sums: sums as unknown as Sums,
      spendBefore: index === undefined ? 0 : columns.spendBefore[index],
      text: normaliseTerm(
        `${target.expression} ${campaign} ${adGroup?.name ?? ''} ${target.match ?? target.kind}`,
      ),
    };
  });
}

/** The rows that hold every word searched for, in order. Rows without a value stand last in either direction. */
export function arrangeTargets(
  rows: readonly TargetRow[],
  search: string,
  { by, descending }: { by: SortKey; descending: boolean },
): TargetRow[] {
  const words = normaliseTerm(search).split(' ').filter(Boolean);
  const kept = rows.filter(({ text }) => words.every((word) => text.includes(word)));
  const sign = descending ? -1 : 1;
  if (by === 'target' || by === 'place') {
    const textOf = (row: TargetRow) => (by === 'target' ? row.expression : `${row.campaign} ${row.adGroup}`);
    return kept.sort(
      (a, b) => sign * (textOf(a) < textOf(b) ? -1 : textOf(a) > textOf(b) ? 1 : 0) || a.id - b.id,
    );
  }
  const valueOf = VALUES[by];
  const last = descending ? -Infinity : Infinity;
  return kept.sort((a, b) => sign * ((valueOf(a) ?? last) - (valueOf(b) ?? last) || 0) || a.id - b.id);
}

const VALUES: Record<Exclude<SortKey, 'target' | 'place'>, (row: TargetRow) => number | null> = {
  bid: ({ bid }) => bid,
  impressions: ({ sums }) => sums.impressions,
  clicks: ({ sums }) => sums.clicks,
  cpc: ({ sums }) => ratio(sums.spend, sums.clicks),
  spend: ({ sums }) => sums.spend,
  moved: ({ sums, spendBefore }) => sums.spend - spendBefore,
  orders: ({ sums }) => sums.orders,
  sales: ({ sums }) => sums.sales,
  acos: ({ sums }) => ratio(sums.spend, sums.sales),
};

/** The sums of some rows, and their spend before. */
export function totalOf(rows: readonly TargetRow[]): { sums: Sums; spendBefore: number } {
  const sums = { impressions: 0, clicks: 0, spend: 0, orders: 0, units: 0, sales: 0 };
  let spendBefore = 0;
  for (const row of rows) {
    for (const key of KEYS) sums[key] += row.sums[key];
    spendBefore += row.spendBefore;
  }
  return { sums, spendBefore };
}
