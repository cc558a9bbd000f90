import { describe, expect, test } from 'vitest';
import { aGround, aPlan, aTerm, OFFERS } from '../../../tests/make/plan';
import { usualLimits } from '../changes';
import {
  campaignsOf as campaignsAt,
  changesOf,
  checkPlan,
  crossings,
  fitsPattern,
  nameBy,
  planLike,
  readPasted,
} from '.';
import type { BuildPlan } from '.';

const TERMS = [
  'oak crock',
  'stone crock',
  'crock with lid',
  'small crock',
  'crock 5 l',
  'crock 10 l',
  'big crock',
];
const campaignsOf = (one: BuildPlan, currency = 'EUR') => campaignsAt(one, usualLimits(currency));
const plan = (over: Partial<BuildPlan> = {}) =>
  aPlan({ terms: TERMS.map((text) => aTerm(text, ['exact', 'broad'])), ...over });
const only = (...on: (keyof BuildPlan['parts'])[]): BuildPlan['parts'] => {
  const { parts } = aPlan();
  return Object.fromEntries(
    Object.entries(parts).map(([name, part]) => [name, { ...part, isOn: on.includes(name as 'auto') }]),
  ) as BuildPlan['parts'];
};
const told = (one: BuildPlan, over = {}) => checkPlan(one, campaignsOf(one), aGround(over));

describe('what is pasted', () => {
  test('in any form becomes terms and item codes, each once', () => {
    expect(readPasted('oak crock\n"stone crock"; Oak  Crock,\tb0abc12345\r\n\n,,')).toEqual({
      terms: ['oak crock', 'stone crock'],
      codes: ['B0ABC12345'],
      again: 1,
    });
  });
});

describe('the campaigns of a plan', () => {
  test('are named by the pattern, and five keywords stand in one of exact keywords', () => {
    const made = campaignsOf(plan({ parts: only('broad', 'exact') }));
    expect(made.map(({ name, targets }) => [name, targets.length])).toEqual([
      ['CRO-100 – broad', 7],
      ['CRO-100 – exact 1', 5],
      ['CRO-100 – exact 2', 2],
    ]);
  });

  test('launched ones keep their keywords when one is taken out and others come', () => {
    const terms = TERMS.map((text, at) => ({ ...aTerm(text), home: at < 5 ? 'exact 1' : 'exact 2' }));
    const made = campaignsOf(
      plan({ parts: only('exact'), terms: [aTerm('new crock'), ...terms.filter((_, at) => at !== 0)] }),
    );
    expect(made.map(({ targets }) => targets.map(({ expression }) => expression))).toEqual([
      [...TERMS.slice(1, 5), 'new crock'],
      TERMS.slice(5),
    ]);
  });

  test('automatic groups stand together or apart', () => {
    expect(campaignsOf(aPlan({ parts: only('auto') })).map(({ targets }) => targets.length)).toEqual([4]);
    expect(campaignsOf(aPlan({ parts: only('auto'), groupsApart: true })).map(({ name }) => name)).toEqual([
      'CRO-100 – auto near searches',
      'CRO-100 – auto wide searches',
      'CRO-100 – auto rival items',
      'CRO-100 – auto companion items',
    ]);
  });

  test('a part without targets is not made, unless it is empty on purpose', () => {
    const parts = only('auto', 'phrase');
    expect(campaignsOf(aPlan({ parts })).map(({ key }) => key)).toEqual(['auto']);
    const empty = { ...parts, phrase: { ...parts.phrase, isEmpty: true } };
    expect(campaignsOf(aPlan({ parts: empty })).map(({ key, targets }) => [key, targets.length])).toEqual([
      ['auto', 4],
      ['phrase', 0],
    ]);
  });

  test.each([
    ['EUR', 60_000_000, {}, [20_000_000, 20_000_000, 20_000_000]],
    ['EUR', 10_000_000, {}, [3_340_000, 3_330_000, 3_330_000]],
    ['JPY', 10_000_000, {}, [4_000_000, 3_000_000, 3_000_000]],
    ['EUR', 60_000_000, { broad: 30_000_000 }, [30_000_000, 15_000_000, 15_000_000]],
    ['EUR', 20_000_000, { broad: 30_000_000 }, [30_000_000, 0, 0]],
  ])(
    'in %s, budgets of a total of %d with %o by hand add up to it: %o',
    (currency, total, budgets, wanted) => {
      const made = campaignsOf(plan({ parts: only('broad', 'exact'), total, budgets }), currency);
      expect(made.map(({ budget }) => budget)).toEqual(wanted);
    },
  );

  test('what one part bids on by name is kept out of those that find it by themselves', () => {
    const crossed = plan({
      parts: only('auto', 'broad', 'exact', 'rivals', 'categories'),
      items: [{ code: 'B0ABC12345', isOwn: false, bid: null }],
      refined: [{ aim: 'category', name: 'Vessels', refine: null, against: null, bid: null }],
    });
    const made = campaignsOf(crossed);
    expect(made.map(({ part, negatives }) => [part, negatives.length])).toEqual([
      ['auto', 8],
      ['broad', 7],
      ['exact', 0],
      ['exact', 0],
      ['rivals', 0],
      ['categories', 1],
    ]);
    expect(crossings(made, []).map(({ key, count }) => [key, count])).toEqual([
      ['exact > auto', 7],
      ['exact > broad', 7],
      ['rivals > auto', 1],
      ['rivals > categories', 1],
    ]);
    const left = campaignsOf({ ...crossed, uncrossed: ['exact > broad'] });
    expect(left.find(({ part }) => part === 'broad')!.negatives).toEqual([]);
  });

  test('the changes that make them come in the order in which the market needs them', () => {
    const [campaign] = campaignsOf(plan({ parts: only('auto', 'exact') }));
    const changes = changesOf(campaign, { campaignId: 7, adGroupId: 8 }, [1, 2]);
    expect(changes.map(({ change }) => change.kind)).toEqual([
      'add-campaign',
      'add-ad-group',
      'add-ad',
      'add-ad',
      ...Array.from({ length: 4 }, () => 'add-auto-target'),
      ...Array.from({ length: 7 }, () => 'add-negative'),
    ]);
    const at = new Map(changes.map(({ line }, index) => [line, index]));
    expect(at.size).toBe(changes.length);
    changes.forEach(({ after }, index) => expect(after === null ? -1 : at.get(after)).toBeLessThan(index));
  });
});

describe('names', () => {
  const fields = { code: 'CRO', part: 'exact', purpose: '', source: 'list', number: '2' };
  test.each([
    ['{code} – {part} {number}', 'CRO – exact 2'],
    ['{code} | {purpose} | {part}', 'CRO | exact'],
    ['{source}/{part}#{number} {who}', 'list/exact#2 {who}'],
  ])('by %s', (pattern, wanted) => expect(nameBy(pattern, fields)).toBe(wanted));

  test.each([
    ['CRO – exact 2', true],
    ['CRO – exact', true],
    ['CRO exact', false],
  ])('%s fits {code} – {part} {number}: %s', (name, fits) =>
    expect(fitsPattern(name, '{code} – {part} {number}')).toBe(fits),
  );
});

describe('a line of a plan', () => {
  test.each([
    ['elm crock!', /refuses the character “!”/, 'elm crock'],
    ['a b c d e f g h i j k', /11 words; the market takes 10/, 'a b c d e f g h i j'],
    [
      `${'long '.repeat(17)}end`,
      /88 characters; the market takes 80/,
      'long long long long long long long long long long',
    ],
    ['Stone Crocks', /does not tell it from “stone crock”/, ''],
  ])('“%s” is wrong: %s, and how it can be written is told', (text, sentence, mended) => {
    const faults = told(plan({ terms: [...plan().terms, aTerm(text)], parts: only('exact', 'broad') }));
    expect(faults).toEqual([
      { at: 'terms.7', weight: 'wrong', sentence: expect.stringMatching(sentence) as string, mended },
    ]);
  });

  test('a bid below the market’s least is wrong, at its match type', () => {
    const terms = [{ ...aTerm('oak crock', ['exact', 'phrase']), bids: { phrase: 10_000 } }];
    expect(told(plan({ terms, parts: only('exact', 'phrase') }))).toMatchObject([
      { at: 'terms.0.phrase', sentence: 'The bid 0.01 is below the market’s minimum of 0.02.' },
    ]);
  });

  test('what has an exact bid already, is negative or never wanted is told, and hinders nothing', () => {
    const faults = told(plan({ terms: [aTerm('oak crock')], parts: only('exact') }), {
      exactIn: () => 'Crocks – exact',
      negativeIn: () => 'Crocks – auto',
      unwanted: () => 'oak',
    });
    expect(faults.map(({ weight }) => weight)).toEqual(['told', 'told', 'told']);
  });

  test.each([
    [{ code: 'B0LID00001', isOwn: false, bid: null }, /one of our own/],
    [{ code: 'lid', isOwn: false, bid: null }, /not an item code/],
    [{ code: 'B0ABC12345', isOwn: true, bid: null }, /No product of the account/],
    [{ code: 'B0CROCK001', isOwn: true, bid: null }, /the item that is advertised/],
  ])('the item %o: %s', (item, sentence) => {
    const parts = only('own', 'rivals');
    const all = {
      ...parts,
      own: { ...parts.own, isEmpty: true },
      rivals: { ...parts.rivals, isEmpty: true },
    };
    expect(told(aPlan({ items: [item], parts: all }))[0].sentence).toMatch(sentence);
  });
});

describe('a plan as a whole', () => {
  test('is told every fault at once', () => {
    const { parts } = aPlan();
    const faults = told(
      plan({
        productId: 9,
        parts: { ...only('phrase', 'exact', 'categories'), exact: { ...parts.exact, isOn: true, bid: 1 } },
        terms: [aTerm('what!')],
        refined: [{ aim: 'category', name: 'Boats', refine: null, against: null, bid: null }],
        total: 100_000,
        settings: { ...aPlan().settings, startsOn: '2026-11-01', endsOn: '2026-10-01' },
      }),
    );
    expect([...new Set(faults.map(({ at }) => at))].sort()).toEqual([
      'budgets.categories',
      'budgets.exact 1',
      'own.categories',
      'own.exact 1',
      'parts.exact',
      'parts.phrase',
      'productId',
      'refined.0',
      'terms.0',
    ]);
  });

  test('a market that offers less refuses what it does not offer', () => {
    const faults = told(
      plan({ items: [{ code: 'B0ABC12345', isOwn: false, bid: null }], parts: only('broad', 'rivals') }),
      {
        offers: { ...OFFERS, matches: ['exact'], productTargets: false },
      },
    );
    expect(faults.map(({ at }) => at)).toEqual(['parts.broad', 'parts.rivals']);
  });

  test('margins that lie far apart are told', () => {
    const products = new Map([
      [1, { name: 'Crock', margin: 0.4, itemCode: 'B0CROCK001' }],
      [2, { name: 'Lid', margin: 0.1, itemCode: 'B0LID00001' }],
    ]);
    expect(told(aPlan({ more: [2], parts: only('auto') }), { products })).toMatchObject([
      { at: 'more', weight: 'told', sentence: expect.stringMatching(/10 % to 40 %/) as string },
    ]);
  });

  test('for another product it keeps terms and rivals, and takes that one’s code and own items', () => {
    const like = planLike(
      plan({ items: [{ code: 'B0ABC12345', isOwn: false, bid: null }], names: { auto: 'x' } }),
      {
        ...aPlan(),
        productId: 2,
        code: 'LID-1',
        items: [{ code: 'B0CROCK001', isOwn: true, bid: null }],
      },
    );
    expect(like).toMatchObject({ productId: 2, code: 'LID-1', names: {}, terms: plan().terms });
    expect(like.items.map(({ code }) => code)).toEqual(['B0ABC12345', 'B0CROCK001']);
  });
});
