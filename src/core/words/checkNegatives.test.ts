import { describe, expect, test } from 'vitest';
import {
  aContext,
  aNegative,
  anExactKeyword,
  aStructure,
  aTarget,
  AUTO,
  EXACT,
} from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import type { Structure } from '../structure';
import { negativeCheck, standingNegatives } from '.';
import type { PlacedNegative } from '.';

const aCheck = (terms: TermSpec[], structure: Structure = aStructure()) => {
  const context = aContext(terms, structure);
  return { context, check: negativeCheck(context) };
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
    expect(hit.targets).toEqual([{ id: 102, share: 1 }]);
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
    return standingNegatives(context, check).map(({ kind, negative, examples }) => ({
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

  test('that are exact keep a broad keyword from no more than that one term: its share is told, and a small one is not', () => {
    const broad = aTarget({ id: 141, kind: 'keyword', match: 'broad', expression: 'fermentation crock' });
    const own = [...aStructure().targets, broad];
    const of = (clicks: number) => {
      const terms: TermSpec[] = [
        { term: 'fermentation crock', targetId: 141, clicks },
        { term: 'large fermentation crock', targetId: 141, clicks: 60 },
      ];
      const { context, check } = aCheck(
        terms,
        aStructure({ negatives: [aNegative('fermentation crock')], targets: own }),
      );
      return standingNegatives(context, check).map(({ kind, share }) => [kind, share]);
    };
    expect(of(40)).toEqual([['blocks-target', 0.4]]);
    expect(of(2)).toEqual([]);
  });

  test('that stop what was moved to a home of its own are silent', () => {
    const own = [
      ...aStructure().targets,
      anExactKeyword('crock', { id: 140, adGroupId: AUTO }),
      anExactKeyword('crock', { id: 142, adGroupId: EXACT }),
    ];
    expect(findings([aNegative('crock')], [{ term: 'crock' }], own)).toEqual([]);
  });

  test('that are phrases stop a broad keyword wholly where they are a single word of it, else as far as past clicks tell', () => {
    const broad = aTarget({ id: 141, kind: 'keyword', match: 'broad', expression: 'fermentation crock lid' });
    const of = (expression: string, terms: TermSpec[]) => {
      const { check } = aCheck(terms, aStructure({ targets: [...aStructure().targets, broad] }));
      return check.blocks([placed({ expression })])[0].targets;
    };
    expect(of('crock', [])).toEqual([{ id: 141, share: 1 }]);
    expect(of('crock lid', [])).toEqual([]);
    const past: TermSpec[] = [
      { term: 'fermentation crock lid', targetId: 141, clicks: 30 },
      { term: 'lid for fermentation crock', targetId: 141, clicks: 10 },
    ];
    expect(of('crock lid', past)).toEqual([{ id: 141, share: 0.75 }]);
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
