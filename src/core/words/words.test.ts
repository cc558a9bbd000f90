import fc from 'fast-check';
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
} from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { isBlocked, matchForm, negativeSet } from '../matching';
import type { KeywordMatch } from '../matching';
import type { Structure } from '../structure';
import {
  blockedForms,
  coreList,
  negativeCheck,
  previewKeyword,
  standingNegatives,
  termWords,
  wordParts,
} from '.';
import type { Blocker, PlacedNegative } from '.';

const words = (terms: string[]) => termWords(terms.map(matchForm), terms);
const blocked = (terms: string[], blocker: Blocker) =>
  blockedForms(words(terms), [blocker])[0].map((form) => words(terms).forms[form]);

describe('what a negative blocks', () => {
  test.each<[string, Blocker, string, boolean]>([
    ['exact: the same words', { match: 'exact', expression: 'Glass Jar' }, 'glass jars', true],
    [
      'exact: one word more is another term',
      { match: 'exact', expression: 'glass jar' },
      'tall glass jar',
      false,
    ],
    [
      'phrase: together and in order',
      { match: 'phrase', expression: 'glass jar' },
      'tall glass jar lid',
      true,
    ],
    [
      'phrase: apart is not together',
      { match: 'phrase', expression: 'glass jar' },
      'glass for jar lid',
      true,
    ],
    ['phrase: in another order', { match: 'phrase', expression: 'glass jar' }, 'jar glass', false],
    ['phrase: not inside a word', { match: 'phrase', expression: 'jar' }, 'jargon', false],
    ['accents', { match: 'exact', expression: 'crème' }, 'creme', true],
    ['hyphens', { match: 'phrase', expression: 'swing top' }, 'swing-top bottle', true],
    ['numbers and units', { match: 'phrase', expression: '500 ml' }, 'jar 500ml', true],
    ['another number', { match: 'phrase', expression: '500 ml' }, 'jar 50ml', false],
    ['double spaces', { match: 'exact', expression: 'glass  jar' }, 'glass jar', true],
    ['another script', { match: 'phrase', expression: '漬物' }, '漬物石', true],
    ['an item code by itself', { match: 'item', expression: 'QY7K3M92TD' }, 'qy7k3m92td', true],
    ['an item code in a sentence', { match: 'item', expression: 'QY7K3M92TD' }, 'like qy7k3m92td', false],
  ])('%s', (_, blocker, term, expected) => {
    // What the index says is what matching says of each pair.
    const set = negativeSet([blocker]);
    expect(isBlocked(matchForm(term), set)).toBe(expected);
    expect(blocked([term, 'something else'], blocker).length > 0).toBe(expected);
  });

  test('by the index is the same as pair by pair, for any terms and negatives', () => {
    const word = fc.constantFrom('jar', 'jars', 'glass', 'lid', '5l', 'for', 'kimchi');
    const text = fc.array(word, { minLength: 1, maxLength: 4 }).map((list) => list.join(' '));
    const blocker = fc.record({
      match: fc.constantFrom('exact', 'phrase', 'item' as const),
      expression: text,
    });
    fc.assert(
      fc.property(fc.array(text, { maxLength: 12 }), fc.array(blocker, { maxLength: 5 }), (terms, list) => {
        const all = words(terms);
        const found = blockedForms(all, list as Blocker[]);
        list.forEach((one, at) => {
          const set = negativeSet([one as Blocker]);
          const expected = all.forms.flatMap((form, id) => (form !== '' && isBlocked(form, set) ? [id] : []));
          expect(found[at]).toEqual(expected);
        });
      }),
    );
  });
});

const aCheck = (terms: TermSpec[], structure: Structure = aStructure()) => {
  const context = aContext(terms, structure);
  return { context, check: negativeCheck(context, structure.targets) };
};
const placed = (over: Partial<PlacedNegative>): PlacedNegative => ({
  campaignId: 1,
  adGroupId: AUTO,
  match: 'phrase',
  expression: 'jar',
  ...over,
});

describe('before a negative is staged', () => {
  const terms: TermSpec[] = [
    { term: 'glass jar', clicks: 20, orders: 2, sales: 50 },
    { term: 'jar lid', clicks: 10, orders: 0 },
    { term: 'glass jar', adGroupId: EXACT, clicks: 30, orders: 6, sales: 200 },
  ];

  test('it is told what it would have blocked in its place, and what that sold', () => {
    const [blocks] = aCheck(terms).check.blocks([placed({})]);
    expect(blocks).toMatchObject({ sold: 1, sums: { clicks: 30, orders: 2, sales: 50_000_000 } });
    expect(blocks.rows).toEqual([0, 1]);
  });

  test('another ad group is not its place, its campaign is', () => {
    const { check } = aCheck(terms);
    const [group, campaign, other] = check.blocks([
      placed({ adGroupId: EXACT, campaignId: 2 }),
      placed({ adGroupId: null, campaignId: 1 }),
      placed({ adGroupId: null, campaignId: 3 }),
    ]);
    expect([group, campaign, other].map(({ rows }) => rows)).toEqual([[2], [0, 1], []]);
  });

  test('it is told which live targets it keeps from showing', () => {
    const { check } = aCheck(terms);
    const [hit, missed] = check.blocks([
      placed({ adGroupId: EXACT, campaignId: 2, expression: 'weights' }),
      placed({ expression: 'weights' }),
    ]);
    expect(hit.targets).toEqual([102]);
    expect(missed.targets).toEqual([]);
  });
});

describe('negatives that stand', () => {
  const findings = (
    negatives: Structure['negatives'],
    terms: TermSpec[] = [],
    targets = aStructure().targets,
  ) => {
    const { context, check } = aCheck(terms, aStructure({ negatives, targets }));
    return standingNegatives(context, check, negatives).map(({ kind, negative, examples }) => ({
      kind,
      id: negative.id,
      examples,
    }));
  };

  test('are told when they block a term that sold elsewhere and has no home', () => {
    const terms: TermSpec[] = [{ term: 'crock lid', adGroupId: EXACT, clicks: 9, orders: 2 }];
    expect(findings([aNegative('crock lid')], terms)).toEqual([
      { kind: 'blocks-sold', id: 201, examples: ['crock lid'] },
    ]);
  });

  test('are right when the term has a home: it is blocked elsewhere on purpose', () => {
    expect(findings([aNegative('fermentation weights')])).toEqual([]);
  });

  test('are told when they keep a target of their own place from showing', () => {
    const own = [...aStructure().targets, anExactKeyword('crock', { id: 140, adGroupId: AUTO })];
    expect(findings([aNegative('crocks')], [], own)).toMatchObject([
      { kind: 'blocks-target', examples: ['crock'] },
    ]);
  });

  test('that stand twice, are covered by another, or meet no term', () => {
    const terms: TermSpec[] = [{ term: 'used jar' }, { term: 'used crock' }];
    expect(
      findings(
        [
          aNegative('used', { id: 1, match: 'phrase' }),
          aNegative('used jar', { id: 2 }),
          aNegative('Used', { id: 3, match: 'phrase' }),
          aNegative('umbrella', { id: 4 }),
        ],
        terms,
      ).map(({ kind, id }) => [id, kind]),
    ).toEqual([
      [2, 'covered'],
      [3, 'duplicate'],
      [4, 'blocks-nothing'],
    ]);
  });
});

describe('word parts', () => {
  const parts = (terms: TermSpec[], minClicks = 1) => {
    const { table, forms, normalised } = aContext(terms);
    return wordParts(termWords(forms, normalised), table, () => true, { targetAcos: 0.2, minClicks });
  };
  const terms: TermSpec[] = [
    { term: 'used glass jar', clicks: 30, spend: 15 },
    { term: 'used jars', clicks: 20, spend: 10 },
    { term: 'glass jar jar', clicks: 10, spend: 5, orders: 3, sales: 90 },
  ];

  test('sum every term that holds them, once, whatever its spelling', () => {
    const jar = parts(terms).find(({ text }) => text === 'jar')!;
    expect(jar).toMatchObject({ terms: 3, sums: { clicks: 60, spend: 30_000_000, orders: 3 } });
    expect(parts(terms).find(({ text }) => text === 'used')).toMatchObject({
      terms: 2,
      sums: { clicks: 50 },
    });
    expect(parts(terms).find(({ text }) => text === 'glass jar')).toMatchObject({ length: 2, terms: 2 });
  });

  test('stand by the spend that the target does not allow, worst first, with the chance to reach it', () => {
    const [worst] = parts(terms);
    expect(worst).toMatchObject({ text: 'used', excess: 25_000_000 });
    expect(worst.chance).toBeLessThan(0.05);
    expect(parts(terms).find(({ text }) => text === 'glass jar jar')!.excess).toBe(
      5_000_000 - 0.2 * 90_000_000,
    );
  });

  test('that the very same terms hold are told once, the longest', () => {
    const texts = parts([
      { term: 'flower pot red', clicks: 20 },
      { term: 'flower pot blue', clicks: 20 },
    ]).map(({ text }) => text);
    expect(texts).toContain('flower pot');
    expect(texts).not.toContain('flower');
  });

  test('have three words at most, and enough clicks', () => {
    expect(Math.max(...parts(terms).map(({ length }) => length))).toBe(3);
    expect(parts(terms, 55).map(({ text }) => text)).not.toContain('used');
  });
});

describe('the matching preview', () => {
  const terms = words([
    'glass jar',
    'tall glass jar',
    'jar of glass',
    'glass lid',
    'jar tall glass',
    'crock',
  ]);
  const names = (list: number[]) => list.map((form) => terms.forms[form]);

  test.each<[KeywordMatch, string[]]>([
    ['exact', ['glass jar']],
    ['phrase', ['glass jar', 'tall glass jar']],
    ['broad', ['glass jar', 'tall glass jar', 'jar glass', 'jar tall glass']],
  ])('tells what a keyword would catch: %s', (match, caught) => {
    expect(names(previewKeyword(terms, 'Glass Jars', match).caught)).toEqual(caught);
  });

  test('tells why not', () => {
    const why = (match: KeywordMatch) =>
      Object.fromEntries(
        previewKeyword(terms, 'glass jar', match).missed.map(({ form, why }) => [terms.forms[form], why]),
      );
    expect(why('broad')).toEqual({ 'glass lid': 'lacks “jar”' });
    expect(why('phrase')['jar tall glass']).toBe('has the words apart, or in another order');
    expect(why('exact')).toMatchObject({
      'tall glass jar': 'has more words than exact match takes',
      'jar glass': 'has its words in another order',
    });
  });
});

describe('the core list of a product', () => {
  const structure = aStructure();
  structure.adGroups.push(anAdGroup({ id: 30, campaignId: 2, name: 'other', productId: 8 }));
  const terms: TermSpec[] = [
    { term: 'fermentation weights', adGroupId: EXACT, clicks: 60, orders: 9, sales: 300 },
    { term: 'crock lid', clicks: 20, orders: 1, sales: 20 },
    { term: 'elsewhere', adGroupId: 30, clicks: 90, orders: 9, sales: 900 },
  ];
  const list = (pinned: string[] = []) => {
    const context = aContext(terms, structure);
    return coreList(context, termWords(context.forms, context.normalised), 7, pinned);
  };

  test('holds what sold most, with its home and the share of its clicks that goes there', () => {
    const [weights] = list();
    expect(weights).toMatchObject({
      term: 'fermentation weights',
      isPinned: false,
      home: { adGroupId: EXACT },
    });
    // The context's own row of the same term runs in the automatic ad group: a leak of 1,000 clicks.
    expect(weights.atHome).toBeCloseTo(60 / 1060);
    expect(weights.leaks).toMatchObject([{ adGroupId: AUTO, isBlocked: false, sums: { clicks: 1000 } }]);
  });

  test('keeps what is pinned first, also what nobody searched for, and nothing of other products', () => {
    const pinned = list([matchForm('crock lids'), matchForm('pickle press')]);
    expect(pinned.map(({ form, isPinned }) => [form, isPinned])).toEqual([
      [matchForm('crock lid'), true],
      [matchForm('pickle press'), true],
      [matchForm('fermentation weights'), false],
    ]);
    expect(pinned[1]).toMatchObject({ home: null, atHome: null, leaks: [] });
  });

  test('is empty for a product that did not sell', () => {
    expect(coreList(aContext([]), termWords([], []), 99, [])).toEqual([]);
  });
});

test('targets of a paused keyword are not missed', () => {
  const targets = [
    aTarget({
      id: 150,
      adGroupId: AUTO,
      kind: 'keyword',
      match: 'exact',
      expression: 'jar',
      state: 'paused',
    }),
  ];
  const { check } = aCheck([], aStructure({ targets }));
  expect(check.blocks([placed({})])[0].targets).toEqual([]);
});
