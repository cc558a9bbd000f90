import { buildLens, sumOfRows, sumsAt, sumStandings } from '../../core/lenses';
import type { GrainSums, LensTable } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import { acosChange, addSums, NO_SUMS } from '../../core/measures';
import type { Sums } from '../../core/measures';
import { movedBy } from './movedBy';
import type { OverviewParts } from './types';

const rowsOf = (table: LensTable) => Int32Array.from({ length: table.size }, (_, row) => row);

/** What an account's targets tell about it as a whole: totals, auto against manual, standings, who moved it. */
export function overviewOf(index: TreeIndex, sums: GrainSums): OverviewParts {
  const [auto, keywords, items] = (['auto', 'keywords', 'items'] as const).map((lens) =>
    buildLens(lens, index, sums),
  );
  const both = (tables: LensTable[]) => ({
    now: total(tables.map((table) => sumOfRows(table.now, rowsOf(table)))),
    before: total(tables.map((table) => sumOfRows(table.before, rowsOf(table)))),
  });
  const whole = both([auto, keywords, items]);
  const campaigns = buildLens('campaigns', index, sums);
  const moved = movedBy(campaigns, index, sums);
  return {
    ...whole,
    isBeforeCovered: sums.isBeforeCovered,
    auto: both([auto]),
    manual: both([keywords, items]),
    standings: addStandings([auto, keywords, items]),
    moved: { spend: moved('spend'), sales: moved('sales') },
    acosChange: sums.isBeforeCovered
      ? acosChange(
          Array.from({ length: campaigns.size }, (_, row) => ({
            now: sumsAt(campaigns.now, row),
            before: sumsAt(campaigns.before, row),
          })),
        )
      : null,
    targetAcos: weightedTarget(campaigns),
  };
}

const total = (list: Sums[]) => list.reduce<Sums>((sum, one) => addSums(sum, one), NO_SUMS);

function addStandings(tables: LensTable[]): OverviewParts['standings'] {
  const all = tables.map((table) => sumStandings(table, rowsOf(table)));
  return all[0].map((first, at) =>
    all.slice(1).reduce(
      (sum, list) => ({
        standing: sum.standing,
        count: sum.count + list[at].count,
        spend: sum.spend + list[at].spend,
        sales: sum.sales + list[at].sales,
        loss: sum.loss + list[at].loss,
      }),
      first,
    ),
  );
}

function weightedTarget({ size, now, targetAcos }: LensTable): number | null {
  let [sum, weight] = [0, 0];
  for (let row = 0; row < size; row += 1) {
    if (Number.isNaN(targetAcos[row])) continue;
    sum += now.sales[row] * targetAcos[row];
    weight += now.sales[row];
  }
  return weight === 0 ? null : sum / weight;
}
