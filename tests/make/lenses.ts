import { noSumColumns } from '../../src/core/lenses';
import type { GrainSums } from '../../src/core/lenses';
import type { AccountTree, Target } from '../../src/core/structure';
import type { Sums } from '../../src/core/measures';

/** A made-up account: two products of one line, an automatic and an exact campaign for the first, one for the second. */
export function aTree(over: Partial<AccountTree> = {}): AccountTree {
  const campaign = (id: number, name: string) => ({
    id,
    name,
    state: 'enabled' as const,
    budget: 10_000_000,
    budgetKind: 'daily' as const,
    pacing: 'even',
    similar: null,
    flex: 'fixed',
    startsOn: null,
    endsOn: null,
    top: 0.5,
    rest: 0,
    pages: 0.1,
  });
  const adGroup = (id: number, campaignId: number, productId: number | null) => ({
    id,
    campaignId,
    name: `group ${id}`,
    state: 'enabled' as const,
    productId,
    defaultBid: 300_000,
    budget: null,
    startsOn: null,
    endsOn: null,
  });
  return {
    today: '2026-11-23',
    lists: { own: [], rival: [], unwanted: [] },
    campaigns: [campaign(1, 'Crock auto'), campaign(2, 'Crock exact'), campaign(3, 'Brine auto')],
    adGroups: [adGroup(11, 1, 101), adGroup(12, 2, 101), adGroup(13, 3, 102)],
    targets: [
      aTreeTarget({
        id: 1001,
        adGroupId: 11,
        kind: 'auto',
        match: null,
        expression: 'near searches',
        bid: 400_000,
      }),
      aTreeTarget({
        id: 1002,
        adGroupId: 11,
        kind: 'auto',
        match: null,
        expression: 'rival items',
        bid: null,
      }),
      aTreeTarget({ id: 1003, adGroupId: 12, expression: 'stoneware crock' }),
      aTreeTarget({ id: 1004, adGroupId: 12, kind: 'item', match: null, expression: 'QY7K3M92TD' }),
      aTreeTarget({ id: 1005, adGroupId: 13, kind: 'auto', match: null, expression: 'near searches' }),
    ],
    products: [
      {
        id: 101,
        itemCode: 'QYAAAAAAA1',
        name: 'Stoneware crock',
        lineId: 7,
        price: 60_000_000,
        margin: 0.3,
        rating: null,
        stock: null,
      },
      {
        id: 102,
        itemCode: 'QYAAAAAAA2',
        name: 'Brine salt',
        lineId: 7,
        price: 12_000_000,
        margin: null,
        rating: null,
        stock: null,
      },
    ],
    lines: [{ id: 7, name: 'Fermenting' }],
    goals: [],
    accountAcos: 0.25,
    funds: null,
    lastChanges: [],
    ...over,
  };
}

export function aTreeTarget(over: Partial<Target>): Target {
  return {
    id: 1,
    adGroupId: 11,
    kind: 'keyword',
    match: 'exact',
    expression: 'crock',
    bid: 500_000,
    state: 'enabled',
    ...over,
  };
}

/** Sums by target; money in currency units, what is left out is zero. */
export function sumsByTarget(
  rows: { id: number; now?: Partial<Sums>; before?: Partial<Sums> }[],
): GrainSums & { targetId: Int32Array } {
  const sums = { now: noSumColumns(rows.length), before: noSumColumns(rows.length) };
  rows.forEach((row, at) => {
    for (const which of ['now', 'before'] as const)
      for (const [key, value] of Object.entries(row[which] ?? {}))
        sums[which][key as keyof Sums][at] = ['spend', 'sales'].includes(key) ? value * 1e6 : value;
  });
  return {
    size: rows.length,
    targetId: Int32Array.from(rows, ({ id }) => id),
    ...sums,
    isBeforeCovered: true,
  };
}
