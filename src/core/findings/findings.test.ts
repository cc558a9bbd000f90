import { describe, expect, test } from 'vitest';
import { adGroup, auto, campaign, did, found, product, target } from '../../../tests/make/findings';
import type { Route } from '../routes';
import type { World } from '../../../tests/make/findings';
import { FINDING_KINDS } from '.';

describe('a structure is looked through', () => {
  test('an exact term in two places of a product: the one that sold less is paused, another product’s is none', () => {
    const twice = [target(1, 10, { expression: 'crock' }), target(2, 20, { expression: 'Crocks' })];
    const [one, ...others] = found({ targets: twice, did: { 1: did(9, 1), 2: did(20, 6) } }, 'twice-exact');
    expect(others).toEqual([]);
    expect(one).toMatchObject({ id: 1, money: 9e6, mend: [{ kind: 'set-state', id: 1, to: 'paused' }] });
    expect(one.words).toContain('Crock – exact');
    const apart = {
      targets: twice,
      adGroups: [adGroup(10, 1), adGroup(20, 2, 2)],
      products: [product(1), product(2)],
    };
    expect(found(apart, 'twice-exact')).toEqual([]);
  });

  test('a term with an exact bid that is still caught by automatic targets, until it is negative there', () => {
    const world: World = {
      targets: [auto(1), target(2, 20, { expression: 'crock lid' })],
      terms: [{ targetId: 1, text: 'crock lid', ...did(7, 0) }],
    };
    expect(found(world, 'not-blocked')).toMatchObject([
      {
        id: 10,
        money: 7e6,
        mend: [
          { kind: 'add-negative', campaignId: 1, adGroupId: 10, match: 'exact', expression: 'crock lid' },
        ],
      },
    ]);
    const negative = {
      id: 1,
      campaignId: 1,
      adGroupId: 10,
      match: 'exact' as const,
      expression: 'crock lid',
      state: 'enabled' as const,
    };
    expect(found({ ...world, negatives: [negative] }, 'not-blocked')).toEqual([]);
  });

  test('research without a route; homes need none', () => {
    const world: World = { targets: [auto(1), target(2, 20)], did: { 1: did(30), 2: did(40) } };
    expect(found(world, 'no-route')).toMatchObject([{ entity: 'ad-group', id: 10, money: 30e6 }]);
    const routes = [{ sourceId: 10, homeId: 20, takes: 'words' } as Route];
    expect(found({ ...world, routes }, 'no-route')).toEqual([]);
  });

  test('a target that takes most of a budget that is used, not of one that is idle', () => {
    const targets = [1, 2, 3, 4, 5].map((id) => target(id, 20));
    const rich = { ...Object.fromEntries([2, 3, 4, 5].map((id) => [id, did(10)])), 1: did(200) };
    expect(found({ targets, did: rich }, 'takes-most')).toMatchObject([{ id: 1, money: 200e6 }]);
    const idle = [campaign(1, 'a'), campaign(2, 'b', { budget: 100e6 })];
    expect(found({ targets, did: rich, campaigns: idle }, 'takes-most')).toEqual([]);
  });

  test('more targets with spend in an ad group than can be steered', () => {
    const targets = Array.from({ length: 31 }, (_, at) => target(at + 1, 20));
    const all = Object.fromEntries(targets.map(({ id }) => [id, did(2)]));
    expect(found({ targets, did: all }, 'crowded')).toMatchObject([{ id: 20, money: 62e6 }]);
    expect(found({ targets: targets.slice(1), did: all }, 'crowded')).toEqual([]);
  });

  test('ad groups of which one takes the budget that they share', () => {
    const adGroups = [adGroup(10, 1), adGroup(20, 1)];
    const targets = [auto(1), target(2, 20)];
    const world = { adGroups, targets, did: { 1: did(90), 2: did(5) } };
    expect(found(world, 'shared-budget')).toMatchObject([{ entity: 'campaign', id: 1 }]);
    expect(found({ ...world, did: { 1: did(50), 2: did(45) } }, 'shared-budget')).toEqual([]);
  });

  test('match types in one ad group, while the four automatic groups are one', () => {
    const mixed = [target(1, 20), target(2, 20, { match: 'broad' })];
    expect(found({ targets: mixed, did: { 1: did(3), 2: did(4) } }, 'mixed-match')).toMatchObject([
      { id: 20, money: 7e6, words: expect.stringContaining('broad, exact') },
    ]);
    const groups = [auto(1), target(2, 10, { kind: 'auto', match: null, expression: 'wide searches' })];
    expect(found({ targets: groups }, 'mixed-match')).toEqual([]);
  });

  test('products of one campaign whose margins lie far apart', () => {
    const adGroups = [adGroup(10, 1), adGroup(20, 1, 2)];
    const world = { adGroups, targets: [auto(1), target(2, 20)], did: { 1: did(10), 2: did(10) } };
    expect(found({ ...world, products: [product(1, 0.2), product(2, 0.5)] }, 'unlike-margins')).toMatchObject(
      [{ id: 1, words: expect.stringContaining('20 %') }],
    );
    expect(found({ ...world, products: [product(1, 0.2), product(2, null)] }, 'unlike-margins')).toEqual([]);
  });

  test('parts that a product lacks, told with what they do; none of a product that does not sell', () => {
    const world: World = { targets: [auto(1), target(2, 20)], did: { 1: did(10, 2), 2: did(10, 3) } };
    const [one] = found(world, 'missing-part');
    expect(one).toMatchObject({ entity: 'product', id: 1, money: 100e6 });
    expect(one.words).toMatch(/^No broad or phrase .*, no items of rivals .*, no own items/);
    expect(found({ targets: world.targets }, 'missing-part')).toEqual([]);
    // What a market does not offer cannot be missing.
    const small: World = { ...world, offers: { matches: ['exact', 'phrase'], productTargets: false } };
    expect(found(small, 'missing-part')[0].words).toMatch(/^No broad or phrase \(.*\), while/);
    expect(
      found({ ...small, offers: { matches: ['exact'], productTargets: false } }, 'missing-part'),
    ).toEqual([]);
  });

  test('targets and campaigns that run and were never shown', () => {
    const world: World = { targets: [auto(1), target(2, 20), target(3, 20)], did: { 1: did(5), 2: did(5) } };
    expect(found(world, 'never-shown')).toMatchObject([{ id: 20, mend: [{ id: 3, to: 'paused' }] }]);
    const ended = [campaign(1, 'a', { endsOn: '2026-10-01' }), campaign(2, 'b')];
    expect(found({ ...world, campaigns: ended }, 'still-campaign')).toMatchObject([
      { entity: 'campaign', id: 1, words: expect.stringContaining('ended on 1 Oct') },
    ]);
  });

  test('every sort has a name of its own and says what is usual; what has most money comes first', () => {
    expect(new Set(FINDING_KINDS.map(({ kind }) => kind)).size).toBe(FINDING_KINDS.length);
    for (const { usual, label } of FINDING_KINDS) expect([usual, label].join('')).not.toContain('undefined');
    expect(
      found({ targets: [auto(1), auto(2, 20)], did: { 1: did(3), 2: did(8) } }, 'no-route').map(
        ({ id }) => id,
      ),
    ).toEqual([20, 10]);
  });

  test('names that no pattern has made are named by it, and those of several parts are left to the hand', () => {
    const world = {
      campaigns: [campaign(1, 'Old name'), campaign(2, 'CRO – exact'), campaign(3, 'mixed')],
      adGroups: [adGroup(10, 1), adGroup(20, 2), adGroup(30, 3)],
      targets: [target(1, 10), target(2, 20), target(3, 30), auto(4, 30)],
      did: { 1: did(12) },
    };
    expect(found(world, 'off-pattern')).toEqual([]);
    const naming = { pattern: '{code} – {part} {number}', codeOf: () => 'CRO' };
    const [old, mixed, ...others] = found({ ...world, naming }, 'off-pattern');
    expect(others).toEqual([]);
    // The name by the pattern is taken: it gets a number.
    expect(old).toMatchObject({ id: 1, money: 12e6, mend: [{ kind: 'set-name', to: 'CRO – exact 2' }] });
    expect(mixed).toMatchObject({ id: 3, mend: [], otherwise: expect.stringMatching(/by hand/) as string });
  });

  test('automatic groups of one ad group that sell very differently; alike ones are none', () => {
    const groups = [auto(1), target(2, 10, { kind: 'auto', match: null, expression: 'rival items' })];
    const apart = found({ targets: groups, did: { 1: did(40, 8), 2: did(40, 1) } }, 'mixed-groups');
    expect(apart).toMatchObject([{ id: 10, money: 80e6 }]);
    expect(apart[0].words).toMatch(/“near searches” at an ACOS of 25 %.*“rival items” at an ACOS of 200 %/);
    expect(found({ targets: groups, did: { 1: did(40, 8), 2: did(40, 6) } }, 'mixed-groups')).toEqual([]);
  });

  test('a category refined against a price that has moved is made again, and nothing else', () => {
    const category = target(1, 10, { kind: 'category', match: null, expression: 'Vessels' });
    const refined = [
      { targetId: 1, refine: { minPrice: 25e6, maxRating: 4.2 }, against: { price: 25e6, rating: 4.2 } },
    ];
    const listed = (price: number, rating: number) => [{ ...product(1), price, rating }];
    const at = (price: number, rating: number) =>
      found(
        { targets: [category, target(2, 20)], refined, products: listed(price, rating) },
        'refined-against',
      );
    expect(at(25e6, 4.2)).toEqual([]);
    expect(at(25.3e6, 4.2)).toEqual([]);
    expect(at(20e6, 4.2)).toMatchObject([
      {
        id: 1,
        mend: [
          { kind: 'archive-target', targetId: 1 },
          {
            kind: 'add-refined-target',
            expression: 'Vessels',
            refine: { minPrice: 20e6, maxRating: 4.2 },
            against: { price: 20e6, rating: 4.2 },
          },
        ],
      },
    ]);
    expect(at(25e6, 4.5)[0].mend[1]).toMatchObject({ refine: { minPrice: 25e6, maxRating: 4.5 } });
  });

  test('a target that never showed and bids under the market’s range gets its least bid', () => {
    const world = { targets: [target(1, 10, { bid: 100_000 }), target(2, 20)], leastBid: () => 300_000 };
    expect(found(world, 'under-range')).toMatchObject([
      { id: 1, mend: [{ kind: 'set-bid', targetId: 1, from: 100_000, to: 300_000 }] },
    ]);
    expect(found(world, 'never-shown').map(({ id }) => id)).toEqual([20]);
    expect(found({ ...world, did: { 1: did(1) } }, 'under-range')).toEqual([]);
  });

  test('a product without stock is told once, and its targets are no fault of their own', () => {
    const world = { targets: [target(1, 10)], products: [{ ...product(1), stock: 0 }] };
    expect(found(world, 'no-stock')).toMatchObject([{ entity: 'product', id: 1 }]);
    expect(found(world, 'never-shown')).toEqual([]);
  });

  test('a set of products that its rule has left behind: what came gets an ad, what went loses it', () => {
    const world = {
      targets: [target(1, 10)],
      products: [product(1), product(2), product(3)],
      sets: [
        {
          adGroupId: 10,
          has: [
            { productId: 1, adId: 7 },
            { productId: 3, adId: 8 },
          ],
          wants: [1, 2],
        },
      ],
    };
    expect(found(world, 'ruled-set')).toMatchObject([
      {
        id: 10,
        mend: [
          { kind: 'add-ad', productId: 2 },
          { kind: 'archive-ad', adId: 8 },
        ],
      },
    ]);
  });
});
