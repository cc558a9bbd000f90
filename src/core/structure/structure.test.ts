import { describe, expect, test } from 'vitest';
import {
  aCampaign,
  aNegative,
  anAdGroup,
  anExactKeyword,
  aStructure,
  aTarget,
  AUTO,
  EXACT,
  ITEMS,
} from '../../../tests/make/terms';
import { KEYWORD_MATCHES } from '../matching';
import { indexStructure, isExactTarget, oneOfEachForm, TARGET_KINDS, TARGET_STATES, toTargets } from '.';
import type { AdGroup, Target, TargetColumns } from '.';

describe('a home', () => {
  test('bids on known words only, or on known items only', () => {
    const index = indexStructure(aStructure());
    expect(index.wordHomes.map(({ id }) => id)).toEqual([EXACT]);
    expect(index.itemHomes.map(({ id }) => id)).toEqual([ITEMS]);
  });

  test.each<[string, Partial<Target>]>([
    ['a broad keyword among them', { kind: 'keyword', match: 'broad', expression: 'weights' }],
    ['an item among the words', { kind: 'item', match: null, expression: 'QY7K3M92TA' }],
    ['an automatic group', { kind: 'auto', match: null, expression: 'near searches' }],
  ])('is none with %s', (_, over) => {
    const structure = aStructure();
    structure.targets.push(aTarget({ id: 130, adGroupId: EXACT, ...over }));
    expect(indexStructure(structure).wordHomes).toEqual([]);
  });

  test('is one again when what did not fit is archived', () => {
    const structure = aStructure();
    structure.targets.push(
      aTarget({ id: 130, adGroupId: EXACT, kind: 'keyword', match: 'broad', state: 'archived' }),
    );
    expect(indexStructure(structure).wordHomes).toHaveLength(1);
  });

  test('is none when its campaign is archived, or without a single target', () => {
    const structure = aStructure();
    structure.campaigns[1] = aCampaign({ id: 2, state: 'archived' });
    structure.adGroups.push(anAdGroup({ id: 40, name: 'empty' }));
    expect(indexStructure(structure).wordHomes).toEqual([]);
  });

  test('that is paused stays one: a paused keyword is still the term’s place', () => {
    const structure = aStructure();
    structure.adGroups[1] = anAdGroup({ id: EXACT, campaignId: 2, name: 'exact', state: 'paused' });
    expect(indexStructure(structure).wordHomes).toHaveLength(1);
  });
});

describe('where a term is already', () => {
  test('exact: found whatever its spelling, with every place', () => {
    const structure = aStructure();
    structure.targets.push(
      anExactKeyword('Fermentation-Weights', { id: 131, adGroupId: ITEMS, state: 'paused' }),
    );
    const found = indexStructure(structure).exactTargets('fermentation weight');
    expect(found.map(({ adGroupId }) => adGroupId)).toEqual([EXACT, ITEMS]);
  });

  test('phrase and broad do not count as exact, items do', () => {
    expect(isExactTarget(aTarget({ kind: 'keyword', match: 'phrase' }))).toBe(false);
    expect(isExactTarget(aTarget({ kind: 'category', expression: 'Jars' }))).toBe(false);
    expect(indexStructure(aStructure()).exactTargets('qy7k3m92td')).toHaveLength(1);
  });

  test('negative: of the ad group, or of its campaign, not of its neighbour', () => {
    const negatives = [
      aNegative('paper', { adGroupId: EXACT, campaignId: 2 }),
      aNegative('used', { adGroupId: null, match: 'phrase' }),
    ];
    const index = indexStructure(aStructure({ negatives }));
    const auto = index.adGroup(AUTO)!;
    expect(index.isNegativeIn('paper', auto)).toBe(false);
    expect(index.isNegativeIn('paper', index.adGroup(EXACT)!)).toBe(true);
    expect(index.isNegativeIn('used crock', auto)).toBe(true);
    expect(index.isNegativeIn('used crock', index.adGroup(EXACT)!)).toBe(false);
  });
});

test('every live negative that stops a term is found, wherever it stands', () => {
  const negatives = [
    aNegative('Glass Paper-weights', { id: 1, adGroupId: EXACT, campaignId: 2 }),
    aNegative('paper weight', { id: 2, adGroupId: null, match: 'phrase' }),
    aNegative('glass', { id: 3 }),
    aNegative('paper weight', { id: 4, match: 'phrase', state: 'archived' }),
  ];
  const index = indexStructure(aStructure({ negatives }));
  expect(index.negativesOn('glass paper weight').map(({ id }) => id)).toEqual([1, 2]);
  expect(index.isNegativeInCampaign('glass paper weight', 1)).toBe(true);
  expect(index.isNegativeInCampaign('glass paper weight', 2)).toBe(false);
});

test('an ad group without a target may become a home, a draft among them; one that has ended may not', () => {
  const structure = aStructure();
  structure.adGroups.push(
    anAdGroup({ id: 60, name: 'empty' }),
    anAdGroup({ id: 61, name: 'draft', state: 'draft' }),
    anAdGroup({ id: 62, name: 'ended', state: 'archived' }),
  );
  const index = indexStructure(structure);
  expect(index.emptyAdGroups.map(({ id }) => id)).toEqual([60, 61]);
  expect(index.researchAdGroups(7).map(({ id }) => id)).toEqual([AUTO]);
});

test('a keyword stands in an ad group whatever its spelling; only broad match passes over the order', () => {
  const structure = aStructure();
  structure.targets.push(
    anExactKeyword('Jar weights', { id: 140, match: 'broad' }),
    anExactKeyword('jar lids', { id: 141, match: 'phrase' }),
  );
  const { hasKeyword } = indexStructure(structure);
  expect(hasKeyword(EXACT, 'broad', 'weight jar')).toBe(true);
  expect(hasKeyword(EXACT, 'phrase', 'jar lid')).toBe(true);
  expect(hasKeyword(EXACT, 'phrase', 'lid jar')).toBe(false);
  expect(hasKeyword(AUTO, 'broad', 'weight jar')).toBe(false);
});

test('one target of each form in an ad group tells of ad groups what all of them tell', () => {
  const structure = aStructure();
  const forms: Partial<Target>[] = [
    {},
    { kind: 'keyword', match: 'broad' },
    { kind: 'item', match: null },
    { kind: 'category', match: null },
    { kind: 'auto', match: null },
    { state: 'archived' },
    { kind: 'keyword', match: 'phrase', state: 'paused' },
  ];
  for (let group = 0; group < 60; group += 1) {
    structure.adGroups.push(anAdGroup({ id: 1000 + group, name: `group ${group}`, productId: group % 7 }));
    // Which forms an ad group has is told by the digits of its number; each of them often.
    for (let at = 0; at < 12; at += 1)
      structure.targets.push(
        anExactKeyword(`term ${at}`, {
          id: 5000 + group * 12 + at,
          adGroupId: 1000 + group,
          ...forms[(group + (at % (1 + (group % 4))) * (1 + (group % 3))) % forms.length],
        }),
      );
  }
  const few = toTargets(oneOfEachForm(columnsOf(structure.targets)));
  expect(few.length).toBeLessThan(structure.targets.length / 3);
  const told = (targets: Target[]) => {
    const index = indexStructure({ ...structure, targets });
    const ids = (list: AdGroup[]) => list.map(({ id }) => id);
    return {
      homes: [ids(index.wordHomes), ids(index.itemHomes), ids(index.itemPlaces), ids(index.emptyAdGroups)],
      research: [0, 1, 2, 3, 4, 5, 6, 7, null].map((product) => ids(index.researchAdGroups(product))),
      words: structure.adGroups.map(({ id }) => index.takesWords(id)),
    };
  };
  expect(told(few)).toEqual(told(structure.targets));
});

const columnsOf = (targets: Target[]): TargetColumns => ({
  id: Float64Array.from(targets, ({ id }) => id),
  adGroupId: Float64Array.from(targets, ({ adGroupId }) => adGroupId),
  kind: Float64Array.from(targets, ({ kind }) => TARGET_KINDS.indexOf(kind)),
  match: Float64Array.from(targets, ({ match }) => (match === null ? -1 : KEYWORD_MATCHES.indexOf(match))),
  state: Float64Array.from(targets, ({ state }) => TARGET_STATES.indexOf(state)),
  bid: Float64Array.from(targets, ({ bid }) => bid ?? -1),
  expression: targets.map(({ expression }) => expression),
});
