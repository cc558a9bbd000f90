import { describe, expect, test } from 'vitest';
import {
  aCampaign,
  aContext,
  aNegative,
  anAdGroup,
  anExactKeyword,
  aStructure,
  aTarget,
  aTermTable,
  AUTO,
} from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { USUAL_LIMITS } from '../changes';
import { termContext } from '../terms';
import {
  chanceToPay,
  listStanding,
  negativeReason,
  placesByReach,
  placesOf,
  proposeNegatives,
  spendPerMonth,
  stoppedBy,
} from '.';
import type { BlockAsks, NegativeList, NegativeSettings } from '.';

const settings: NegativeSettings = {
  basis: 'counts',
  clicksMultiple: 2,
  chance: 0.2,
  leastSpend: 1_000_000,
  bySource: {},
  targetAcos: 0.24,
};
const propose = (terms: TermSpec[], structure = aStructure()) =>
  proposeNegatives(aContext(terms, structure), settings, USUAL_LIMITS);

describe('a search term is blocked', () => {
  // An order usually takes ten clicks here.
  test('when it took twice the clicks an order usually takes, and none came', () => {
    expect(propose([{ term: 'paperweight', clicks: 21 }])).toEqual([
      { row: 0, match: 'exact', reach: 'ad group' },
    ]);
  });

  test('as an item when it is an item code', () => {
    expect(propose([{ term: 'qy7k3m92ta', clicks: 40 }])).toMatchObject([{ match: 'item' }]);
  });
});

describe('an ad group that asks for something of its own before it blocks', () => {
  const proposed = (asks: Partial<BlockAsks>, term: Partial<TermSpec> = {}) =>
    proposeNegatives(
      aContext([{ term: 'paperweight', clicks: 15, spend: 6, ...term }], aStructure()),
      {
        ...settings,
        bySource: { [AUTO]: { clicks: null, clicksMultiple: null, spend: null, ...asks } },
      },
      USUAL_LIMITS,
    ).length === 1;

  test('is met by clicks, by a multiple of what an order takes, and by spend; all that it names have to hold', () => {
    expect([proposed({ clicks: 15 }), proposed({ clicks: 16 })]).toEqual([true, false]);
    expect([proposed({ clicksMultiple: 1.4 }), proposed({ clicksMultiple: 1.7 })]).toEqual([true, false]);
    expect([proposed({ spend: 6_000_000 }), proposed({ spend: 6_000_001 })]).toEqual([true, false]);
    expect(proposed({ clicks: 15, spend: 7_000_000 })).toBe(false);
  });

  test('never blocks what sold, and other ad groups go by the step', () => {
    expect(proposed({ clicks: 1 }, { orders: 1 })).toBe(false);
    const elsewhere = { ...settings, bySource: { 4711: { clicks: 1, clicksMultiple: null, spend: null } } };
    expect(
      proposeNegatives(
        aContext([{ term: 'paperweight', clicks: 15 }], aStructure()),
        elsewhere,
        USUAL_LIMITS,
      ),
    ).toEqual([]);
  });
});

describe('a search term is not blocked', () => {
  test.each<[string, TermSpec]>([
    ['while it has not had its chance', { term: 'paperweight', clicks: 15 }],
    ['when it sold', { term: 'paperweight', clicks: 200, orders: 1 }],
    ['without clicks', { term: 'paperweight', clicks: 0 }],
  ])('%s', (_, term) => expect(propose([term])).toEqual([]));

  test('where clicks are cheap to judge: a campaign that converts at 4 % gives it more of them', () => {
    const weak: TermSpec = { term: 'weak but usual here', clicks: 5_000, orders: 200, spend: 100 };
    expect(propose([{ term: 'paperweight', clicks: 30 }, weak])).toEqual([]);
    expect(propose([{ term: 'paperweight', clicks: 60 }, weak])).toHaveLength(1);
  });

  test('when a negative stops it already, in the ad group or the whole campaign, by phrase too', () => {
    for (const negative of [
      aNegative('paperweight'),
      aNegative('paperweight', { adGroupId: null }),
      aNegative('glass', { match: 'phrase' }),
    ])
      expect(
        propose(
          [{ term: negative.expression === 'glass' ? 'glass paperweight' : 'paperweight', clicks: 50 }],
          aStructure({ negatives: [negative] }),
        ),
      ).toEqual([]);
  });

  test('but is when that negative holds elsewhere, or is archived', () => {
    const elsewhere = [
      aNegative('paperweight', { adGroupId: 99 }),
      aNegative('paperweight', { state: 'archived' }),
    ];
    expect(propose([{ term: 'paperweight', clicks: 50 }], aStructure({ negatives: elsewhere }))).toHaveLength(
      1,
    );
  });

  test('when the ad group asks for exactly it: then it is a matter of the bid', () => {
    const own = anExactKeyword('paperweight', { id: 120, adGroupId: AUTO });
    expect(
      propose([{ term: 'paperweight', clicks: 50 }], aStructure({ targets: [...aStructure().targets, own] })),
    ).toEqual([]);
  });
});

describe('by chance', () => {
  const usual: TermSpec = { term: 'usual', clicks: 1000, orders: 100, spend: 400, sales: 2000 };
  const context = (term: TermSpec, margin?: number) =>
    termContext(aTermTable([term, usual]), aStructure(), new Map(margin === undefined ? [] : [[7, margin]]));
  const proposed = (term: TermSpec, margin?: number) =>
    proposeNegatives(context(term, margin), { ...settings, basis: 'chance' }, USUAL_LIMITS).length > 0;

  test('a term is blocked when it will hardly pay, even if it sold once', () => {
    expect(proposed({ term: 'dear', clicks: 60, orders: 1, spend: 60, sales: 20 })).toBe(true);
    expect(proposed({ term: 'cheap', clicks: 60, orders: 1, spend: 6, sales: 20 })).toBe(false);
  });

  test('a product that leaves much of a sale lets its terms cost more', () => {
    const term: TermSpec = { term: 'middling', clicks: 40, orders: 2, spend: 28, sales: 40 };
    const chances = [0.2, 0.8].map((margin) => chanceToPay(context(term, margin), 0, 0.24).chance!);
    expect(chances[0]).toBeLessThan(0.2);
    expect(chances[1]).toBeGreaterThan(0.2);
    expect([0.2, 0.8].map((margin) => proposed(term, margin))).toEqual([true, false]);
  });

  test('is not asked of terms that cost next to nothing', () => {
    expect(proposed({ term: 'tiny', clicks: 2, spend: 0.9 })).toBe(false);
  });

  test('the reason tells the clicks, the yardstick, the money and the chance', () => {
    const term: TermSpec = { term: 'paperweight', clicks: 61, spend: 36.6 };
    expect(negativeReason(context(term), 0, 0.24, USUAL_LIMITS)).toMatch(
      /^61 clicks, 0 orders in 120 days; an order usually takes 1\d clicks with its target; 36\.60 spent in the window; \d\.\d % chance that it stays under 36 % ACOS \(costs are not known: 1\.5 × the target is assumed\)\.$/,
    );
    expect(negativeReason(context(term, 0.4), 0, 0.24, USUAL_LIMITS)).toContain(
      'that it earns what it costs (break-even 40 %)',
    );
  });
});

test('money per month is scaled from the window to 30.4 days', () => {
  expect(spendPerMonth(30_000_000, { from: '2026-10-21', to: '2026-11-19' })).toBe(30_400_000);
});

test('a term is blocked in its ad group, its campaign, or wherever the product looks for terms', () => {
  const structure = aStructure();
  structure.campaigns.push(aCampaign({ id: 4 }), aCampaign({ id: 5 }));
  structure.adGroups.push(
    anAdGroup({ id: 14, campaignId: 4, name: 'broad' }),
    anAdGroup({ id: 15, campaignId: 5, name: 'of another product', productId: 8 }),
    anAdGroup({ id: 16, campaignId: 4, name: 'asks for it' }),
  );
  structure.targets.push(
    aTarget({ id: 140, adGroupId: 14, kind: 'keyword', match: 'broad', expression: 'weight' }),
    aTarget({ id: 150, adGroupId: 15 }),
    aTarget({ id: 160, adGroupId: 16, kind: 'keyword', match: 'broad', expression: 'paper' }),
    anExactKeyword('paperweight', { id: 161, adGroupId: 16 }),
  );
  const context = aContext([{ term: 'paperweight', clicks: 50 }], structure);
  expect(placesOf(context, 0, 'ad group')).toEqual([{ campaignId: 1, adGroupId: AUTO }]);
  expect(placesOf(context, 0, 'campaign')).toEqual([{ campaignId: 1, adGroupId: null }]);
  expect(placesOf(context, 0, 'research')).toEqual([
    { campaignId: 1, adGroupId: AUTO },
    { campaignId: 4, adGroupId: 14 },
  ]);
  // Nobody told what is advertised: then no other ad group is known to belong with it.
  const bare = { ...structure, adGroups: structure.adGroups.map((one) => ({ ...one, productId: null })) };
  expect(placesOf(aContext([{ term: 'paperweight', clicks: 50 }], bare), 0, 'research')).toHaveLength(1);
});

describe('what is never wanted', () => {
  const lists = { own: [], rival: [], unwanted: ['paper weights'] };
  const asked = (terms: TermSpec[]) => {
    const table = aTermTable([...terms, { term: 'usual', clicks: 1000, orders: 100, spend: 400 }]);
    return proposeNegatives(termContext(table, aStructure(), new Map(), lists), settings, USUAL_LIMITS);
  };

  test('is proposed from its first click', () => {
    expect(asked([{ term: 'glass paper weight', clicks: 1 }])).toHaveLength(1);
    expect(asked([{ term: 'glass paper weight', clicks: 0 }])).toEqual([]);
  });

  test('is left to the specialist when it sold', () => {
    expect(asked([{ term: 'glass paper weight', clicks: 9, orders: 1 }])).toEqual([]);
  });
});

test('what the market takes for no negative is not proposed: a part of it may be one', () => {
  const long = Array.from({ length: 11 }, (_, at) => `word${'abcdefghijk'[at]}`).join(' ');
  expect(propose([{ term: long, clicks: 60 }])).toEqual([]);
  expect(propose([{ term: 'x'.repeat(81), clicks: 60 }])).toEqual([]);
  // A refused character is left out when it is written.
  expect(propose([{ term: 'five* weights', clicks: 60 }])).toHaveLength(1);
});

describe('a named list', () => {
  const list: NegativeList = {
    id: 5,
    name: 'Never',
    campaignIds: [1, 2],
    terms: [
      { match: 'phrase', expression: 'second hand' },
      { match: 'exact', expression: 'toys' },
    ],
  };

  test('is offered for terms of its campaigns, and blocks them in all of these', () => {
    const context = aContext([{ term: 'second hand jar' }]);
    expect(placesByReach(context, 0, [list]).get('list 5')).toEqual([
      { campaignId: 1, adGroupId: null },
      { campaignId: 2, adGroupId: null },
    ]);
    expect([...placesByReach(context, 0, [{ ...list, campaignIds: [2] }]).keys()]).toEqual([
      'ad group',
      'campaign',
      'research',
    ]);
  });

  test('leaves out campaigns in which the term is negative already', () => {
    const structure = aStructure({
      negatives: [aNegative('second hand jars', { campaignId: 2, adGroupId: null })],
    });
    const context = aContext([{ term: 'second hand jar' }], structure);
    expect(placesOf(context, 0, 'list 5', [list])).toEqual([{ campaignId: 1, adGroupId: null }]);
  });

  test('holds where the same negative stands for the whole campaign, whoever made it', () => {
    const standing = listStanding(
      list,
      [
        aNegative('Second Hands', { id: 1, adGroupId: null, match: 'phrase' }),
        aNegative('toy', { id: 2, campaignId: 2, adGroupId: null }),
        // These do not: another match, one ad group alone, ended.
        aNegative('second hand', { id: 3, campaignId: 2, adGroupId: null }),
        aNegative('toy', { id: 4 }),
        aNegative('second hand', {
          id: 5,
          campaignId: 2,
          adGroupId: null,
          match: 'phrase',
          state: 'archived',
        }),
      ],
      new Set([2, 3]),
    );
    expect(standing.missing).toEqual([
      { campaignId: 1, match: 'exact', expression: 'toys' },
      { campaignId: 2, match: 'phrase', expression: 'second hand' },
    ]);
    expect([...standing.byCampaign]).toEqual([
      [1, 1],
      [2, 1],
    ]);
    expect(standing.byTerm).toEqual([1, 1]);
    // Made by the list and asked for no more: number 3; what others made is none of its business.
    expect(standing.excess.map(({ id }) => id)).toEqual([3]);
  });
});

test('a negative stops a term only where it stands: the rest of its clicks go on', () => {
  const structure = aStructure();
  const context = aContext(
    [
      { term: 'paperweight', clicks: 30 },
      { term: 'Paper-weights', adGroupId: 12, clicks: 50 },
      { term: 'paperweight', adGroupId: 13, clicks: 0 },
    ],
    structure,
  );
  expect(stoppedBy(context, [0, 1, 2], [{ campaignId: 1, adGroupId: AUTO }])).toEqual({
    clicks: 30,
    all: 80,
    goesOn: [12],
  });
  expect(stoppedBy(context, [0, 1, 2], placesOf(context, 0, 'campaign')).clicks).toBe(30);
});
