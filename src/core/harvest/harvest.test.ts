import { describe, expect, test } from 'vitest';
import {
  aContext,
  aNegative,
  anAdGroup,
  anExactKeyword,
  aStructure,
  aTarget,
  AUTO,
  EXACT,
  ITEMS,
} from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { USUAL_LIMITS } from '../changes';
import { sumsOfRow } from '../terms';
import { harvestReason, proposeHarvests, startingBid } from '.';
import type { HarvestSettings } from '.';

const settings: HarvestSettings = {
  basis: 'counts',
  minOrders: 2,
  maxAcos: 0.24,
  surety: 0.7,
  targetAcos: 0.24,
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
  test.each([
    ['what a click is worth at the target', 2_000_000, 600_000, 480_000, 'value'],
    ['no more than 1.3 times the CPC paid so far', 9_000_000, 500_000, 650_000, 'cap'],
    ['no less than the market’s minimum', 40_000, 500_000, 20_000, 'minimum'],
  ])('is %s', (_, value, cpc, bid, decidedBy) =>
    expect(startingBid(value, cpc, 0.24, USUAL_LIMITS)).toEqual({ bid, decidedBy }),
  );

  test('four orders from twelve clicks do not shout it up: the cap holds', () => {
    const [proposal] = propose([{ term: 'lucky term', clicks: 12, orders: 4, spend: 6, sales: 80 }]);
    expect(proposal.bid).toBe(650_000);
  });
});

test('the reason says what sold, against which target, and how the bid came about', () => {
  const context = aContext([sold]);
  const [proposal] = proposeHarvests(context, settings, USUAL_LIMITS);
  const reason = harvestReason(proposal, sumsOfRow(context.table, 0), context.value(0)!.mean, 0.24);
  expect(reason).toBe(
    '3 orders from 20 clicks, ACOS 15.0 % against 24.0 %; nowhere exact yet. Starts at 0.58: 1.3 × the CPC of 0.45 paid here; it would be worth more (2.51 expected sales per click × 24 %).',
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

test('a route says where a term goes, how it is bid on and where it is blocked', () => {
  const structure = aStructure();
  structure.adGroups.push(anAdGroup({ id: 50, campaignId: 2, name: 'phrases' }));
  const routes = [
    { sourceId: AUTO, takes: 'words', homeId: 50, match: 'phrase', block: 'campaign' },
    { sourceId: AUTO, takes: 'items', homeId: ITEMS, match: 'exact', block: 'nowhere' },
  ] as const;
  const [words, item] = proposeHarvests(
    aContext([sold, { ...sold, term: 'qy7k3m92ta' }], structure),
    { ...settings, routes },
    USUAL_LIMITS,
  );
  expect(words).toMatchObject({ homeId: 50, match: 'phrase', block: 'campaign' });
  expect(item).toMatchObject({ homeId: ITEMS, isItem: true, block: 'nowhere' });
});
