import { describe, expect, test } from 'vitest';
import {
  aContext,
  aNegative,
  anAdGroup,
  anExactKeyword,
  aRoute,
  aStructure,
  aTarget,
  AUTO,
  EXACT,
  ITEMS,
} from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { USUAL_LIMITS } from '../changes';
import { sumsOfRow } from '../terms';
import { USUAL_ASKS, USUAL_START } from '../routes';
import type { Route, RouteAsks, StartRule } from '../routes';
import { harvestGain, harvestReason, proposeHarvests, startingBid } from '.';
import type { HarvestSettings, StartFigures, StartingBid } from '.';

const settings: HarvestSettings = {
  basis: 'counts',
  minOrders: 2,
  maxAcos: 0.24,
  surety: 0.7,
  targetAcos: 0.24,
  days: 30,
  routes: [],
};
const sold: TermSpec = { term: 'heavy jar weights', clicks: 20, orders: 3, spend: 9, sales: 60 };
const propose = (terms: TermSpec[], structure = aStructure()) =>
  proposeHarvests(aContext(terms, structure), settings, USUAL_LIMITS);

describe('a search term is harvested', () => {
  test('when it sold often enough, on target, and is nowhere exact: into the home of its product', () => {
    expect(propose([sold])).toMatchObject([{ row: 0, isItem: false, homeId: EXACT, block: 'ad group' }]);
  });

  test('as a product target when it is an item code', () => {
    expect(propose([{ ...sold, term: 'qy7k3m92ta' }])).toMatchObject([{ isItem: true, homeId: ITEMS }]);
  });

  test('once, from the ad group where it sold most', () => {
    const structure = aStructure();
    structure.adGroups.push(anAdGroup({ id: 14, name: 'broad' }));
    const proposals = propose([sold, { ...sold, adGroupId: 14, orders: 5, sales: 100 }], structure);
    expect(proposals.map(({ row }) => row)).toEqual([1]);
  });
});

describe('a search term is not harvested', () => {
  test.each<[string, Partial<TermSpec>]>([
    ['with one order only', { orders: 1 }],
    ['above the ACOS limit', { spend: 15 }],
    ['when sales are missing for its orders', { sales: 0 }],
  ])('%s', (_, over) => expect(propose([{ ...sold, ...over }])).toEqual([]));

  test('when it is exact anywhere, spelt with other case, accents or hyphens', () => {
    const structure = aStructure({
      targets: [...aStructure().targets, anExactKeyword('Heavy Jar-Weights', { id: 110 })],
    });
    expect(propose([sold], structure)).toEqual([]);
  });

  test.each([
    ['longer than a keyword may be', 'heavy weights '.repeat(7).trim()],
    ['of more words than a keyword may have', 'a b c d e f g h i j k'],
  ])('when it is %s', (_, term) => expect(propose([{ ...sold, term }])).toEqual([]));

  test('but is when an item code stands in a sentence: that is words', () => {
    const [proposal] = propose([{ ...sold, term: 'weights like qy7k3m92ta please' }]);
    expect(proposal).toMatchObject({ isItem: false, homeId: EXACT });
  });

  test('but is again when that exact keyword was archived', () => {
    const archived = anExactKeyword('heavy jar weights', { id: 110, state: 'archived' });
    expect(propose([sold], aStructure({ targets: [...aStructure().targets, archived] }))).toHaveLength(1);
  });

  test('when it is negative where it ran already', () => {
    expect(
      propose([sold], aStructure({ negatives: [aNegative('heavy jar weights', { adGroupId: null })] })),
    ).toEqual([]);
  });
});

describe('the home', () => {
  test('is left to the specialist when no ad group bids on known words', () => {
    const structure = aStructure({ targets: [aTarget()] });
    expect(propose([sold], structure)[0].homeId).toBeNull();
  });

  test('is found by name where a report does not tell the product', () => {
    const structure = aStructure();
    structure.adGroups = [
      anAdGroup({ productId: null }),
      anAdGroup({ id: 21, campaignId: 4, name: 'exact', productId: null }),
      anAdGroup({ id: EXACT, campaignId: 2, name: 'exact', productId: null }),
    ];
    structure.campaigns.push({ id: 4, name: 'Brine salt exact', state: 'enabled' });
    structure.targets.push(anExactKeyword('brine salt', { id: 111, adGroupId: 21 }));
    expect(propose([sold], structure)[0].homeId).toBe(EXACT);
  });

  test('is never the ad group it came from, nor one that is archived', () => {
    const structure = aStructure();
    structure.adGroups[1] = { ...structure.adGroups[1], state: 'archived' };
    expect(propose([sold], structure)[0].homeId).toBeNull();
    expect(propose([{ ...sold, adGroupId: EXACT }])[0].homeId).not.toBe(EXACT);
    expect(propose([{ ...sold, adGroupId: AUTO }])[0].homeId).toBe(EXACT);
  });
});

describe('the starting bid', () => {
  const start = (figures: Partial<StartFigures>, rule: Partial<StartRule> = {}) =>
    startingBid(
      { valuePerClick: 2_000_000, cpc: 600_000, suggested: null, targetAcos: 0.24, costOfBid: 1, ...figures },
      { ...USUAL_START, ...rule },
      USUAL_LIMITS,
    );

  test.each<[string, Partial<StartFigures>, Partial<StartRule>, number, StartingBid['decidedBy']]>([
    ['what a click is worth at the target', {}, {}, 480_000, 'worth'],
    ['no more than 1.3 times the CPC paid so far', { valuePerClick: 9e6, cpc: 500_000 }, {}, 650_000, 'cap'],
    ['no less than the market’s minimum', { valuePerClick: 40_000, cpc: 500_000 }, {}, 20_000, 'minimum'],
    ['the CPC in the source, where the route says so', {}, { by: 'cpc' }, 600_000, 'cpc'],
    ['what the market suggests', { suggested: 370_000 }, { by: 'market' }, 370_000, 'market'],
    ['what a click is worth, where the market suggests nothing', {}, { by: 'market' }, 480_000, 'worth'],
    ['capped as well when the market suggests more', { suggested: 9e5 }, { by: 'market' }, 780_000, 'cap'],
    ['a fixed amount as it is', { cpc: 100_000 }, { by: 'fixed', amount: 900_000 }, 900_000, 'fixed'],
    [
      'the bid that should cost that much, where clicks cost half of it',
      { costOfBid: 0.5 },
      {},
      960_000,
      'worth',
    ],
    ['not capped where the route sets no cap', { valuePerClick: 9e6 }, { cap: null }, 2_160_000, 'worth'],
  ])('is %s', (_, figures, rule, bid, decidedBy) => expect(start(figures, rule)).toEqual({ bid, decidedBy }));

  test('four orders from twelve clicks do not shout it up: the cap holds', () => {
    const [proposal] = propose([{ term: 'lucky term', clicks: 12, orders: 4, spend: 6, sales: 80 }]);
    // A click may cost 1.3 x the 0.50 paid; clicks cost 91 % of their bids there, by few clicks of its own and what is usual.
    expect(proposal).toMatchObject({ bid: 710_000, bidDecidedBy: 'cap' });
    expect(proposal.expectedCpc / 1e6).toBeCloseTo(0.65, 2);
  });
});

test('the reason says what sold, against which target, and how the bid came about', () => {
  const context = aContext([sold]);
  const [proposal] = proposeHarvests(context, settings, USUAL_LIMITS);
  const reason = harvestReason(proposal, sumsOfRow(context.table, 0), context.value(0)!.mean, 0.24);
  expect(reason).toBe(
    '3 orders from 20 clicks, ACOS 15.0 % against 24.0 %; nowhere exact yet. Starts at 0.67, to pay about 0.58: 1.3 × the CPC of 0.45 paid here; it would be worth more (2.50 expected sales per click × 24 %). Expected profit −0.12 a month.',
  );
});

describe('by chance', () => {
  const byChance = (terms: TermSpec[], over: Partial<HarvestSettings> = {}) =>
    proposeHarvests(aContext(terms), { ...settings, basis: 'chance', ...over }, USUAL_LIMITS).map(
      ({ row }) => row,
    );

  test('one order is enough where the clicks are cheap', () => {
    expect(byChance([{ term: 'cheap', clicks: 8, orders: 1, spend: 1, sales: 20 }])).toEqual([0]);
  });

  test('two orders are not, where the clicks are so dear that it will hardly stay under the target', () => {
    const dear: TermSpec = { term: 'dear', clicks: 20, orders: 2, spend: 9, sales: 40 };
    expect(byChance([dear])).toEqual([]);
    expect(byChance([dear], { surety: 0.3 })).toEqual([0]);
  });
});

describe('a route', () => {
  test('says where a term goes, how it is bid on and where it is blocked', () => {
    const structure = aStructure();
    structure.adGroups.push(anAdGroup({ id: 50, campaignId: 2, name: 'phrases' }));
    const routes = [
      aRoute({ homeId: 50, match: 'phrase', block: 'campaign' }),
      aRoute({ takes: 'items', homeId: ITEMS, block: 'nowhere' }),
    ];
    const proposals = proposeHarvests(
      aContext([sold, { ...sold, term: 'qy7k3m92ta' }], structure),
      { ...settings, routes },
      USUAL_LIMITS,
    );
    const [words, item] = [0, 1].map((row) => proposals.find((one) => one.row === row)!);
    expect(words).toMatchObject({ homeId: 50, match: 'phrase', block: 'campaign' });
    expect(item).toMatchObject({ homeId: ITEMS, isItem: true, block: 'nowhere' });
  });

  // An order usually takes about ten clicks here; the term cost 15 % of its sales.
  test.each<[string, Partial<RouteAsks>, boolean]>([
    ['orders', { orders: 3 }, true],
    ['more orders', { orders: 4 }, false],
    ['clicks', { clicks: 21 }, false],
    ['as many clicks as 1.5 orders usually take', { clicksMultiple: 1.5 }, true],
    ['as many clicks as three orders usually take', { clicksMultiple: 3 }, false],
    ['spend', { spend: 9_000_001 }, false],
    ['days with a click', { days: 12 }, true],
    ['more days with a click', { days: 13 }, false],
    ['an ACOS', { acos: 0.15 }, true],
    ['a lower ACOS', { acos: 0.14 }, false],
    ['to be fairly sure of the target', { surety: 0.4 }, true],
    ['to be all but certain of a low ACOS', { acos: 0.12, surety: 0.95 }, false],
  ])('may ask for %s of its own', (_, asks, takes) => {
    const routes = [aRoute({ asks: { ...USUAL_ASKS, ...asks } })];
    const proposals = proposeHarvests(
      aContext([{ ...sold, days: 12 }]),
      { ...settings, routes },
      USUAL_LIMITS,
    );
    expect(proposals).toHaveLength(takes ? 1 : 0);
  });

  test('that does not take a term leaves it to the next one of the ad group', () => {
    const routes = [
      aRoute({ asks: { ...USUAL_ASKS, orders: 9 } }),
      aRoute({ homeId: ITEMS, match: 'broad' }),
    ];
    expect(proposeHarvests(aContext([sold]), { ...settings, routes }, USUAL_LIMITS)).toMatchObject([
      { homeId: ITEMS, match: 'broad' },
    ]);
  });

  test('never moves what its home bids on already: broad passes over the order of words, phrase does not', () => {
    const held = aStructure();
    held.targets.push(
      anExactKeyword('weights for jars heavy', { id: 120, match: 'broad' }),
      anExactKeyword('jar weights heavy', { id: 121, match: 'phrase' }),
    );
    const moved = (match: Route['match']) =>
      proposeHarvests(aContext([sold], held), { ...settings, routes: [aRoute({ match })] }, USUAL_LIMITS)
        .length;
    expect([moved('broad'), moved('phrase'), moved('exact')]).toEqual([0, 1, 1]);
  });
});

describe('the expected profit of a harvest', () => {
  const gain = (over: Partial<Parameters<typeof harvestGain>[0]> = {}) =>
    harvestGain({
      clicks: 100,
      spend: 40_000_000,
      days: 30.4,
      valuePerClick: 2_000_000,
      margin: 0.4,
      bid: 600_000,
      sourceBid: 500_000,
      isBlocked: true,
      ...over,
    });

  test('is the margin on the clicks that a higher bid adds, less what all clicks then cost more', () => {
    // x = 1.2: 120 clicks at 0.40 x 1.2^0.8 = 0.4628 instead of 100 at 0.40.
    const { spend, sales, profit } = gain();
    expect(spend / 1e6).toBeCloseTo(120 * 0.4 * 1.2 ** 0.8 - 40, 4);
    expect(sales).toBe(40_000_000);
    expect(profit / 1e6).toBeCloseTo(0.4 * 40 - spend / 1e6, 4);
  });

  test('may be a gain by paying less for what earns too little', () => {
    expect(gain({ valuePerClick: 500_000, bid: 300_000 }).profit).toBeGreaterThan(0);
  });

  test('is none where the source keeps its clicks: not blocked, and the higher bid', () => {
    expect(gain({ isBlocked: false, bid: 500_000 })).toEqual({ profit: 0, spend: 0, sales: 0 });
    expect(gain({ isBlocked: false }).sales).toBeGreaterThan(0);
  });

  test('is not told where nobody knows what the source bids: a file of terms says only what was paid', () => {
    expect(gain({ sourceBid: null })).toEqual({ profit: 0, spend: 0, sales: 0 });
  });

  test('promises nothing beyond twice the clicks, and no click above the bid', () => {
    const most = gain({ bid: 5_000_000 });
    expect(most.sales).toBe(200_000_000);
    expect(gain({ bid: 300_000, spend: 90_000_000 }).spend / 1e6).toBeCloseTo(60 * 0.3 - 90, 4);
  });

  test('puts the harvests in order', () => {
    const small: TermSpec = { term: 'small one', clicks: 20, orders: 3, spend: 9, sales: 60 };
    const large: TermSpec = { term: 'large one', clicks: 200, orders: 30, spend: 90, sales: 600 };
    expect(propose([small, large]).map(({ row }) => row)).toEqual([1, 0]);
  });
});
