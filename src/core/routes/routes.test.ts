import { describe, expect, test } from 'vitest';
import { anAdGroup, aRoute, aStructure, aTarget, AUTO, EXACT, ITEMS } from '../../../tests/make/terms';
import { indexStructure } from '../structure';
import { checkRoutes, freeName, liveRoutes, nameByPattern, proposeRoutes, stemOf } from '.';
import type { Route } from '.';

const BROAD = 14;
const structure = aStructure();
structure.adGroups.push(anAdGroup({ id: BROAD, campaignId: 1, name: 'broad' }));
structure.targets.push(
  aTarget({ id: 140, adGroupId: BROAD, kind: 'keyword', match: 'broad', expression: 'weights' }),
);
const index = indexStructure(structure);
const between = (sourceId: number, homeId: number, over: Partial<Route> = {}) =>
  aRoute({ sourceId, homeId, ...over });
const sentences = (routes: Route[]) => checkRoutes(routes, index).map(({ sentence }) => sentence);

test('the structure suggests a home for the words and one for the items of each ad group that looks for terms', () => {
  expect(
    proposeRoutes(structure.adGroups, index).map(({ sourceId, takes, homeId }) => [sourceId, takes, homeId]),
  ).toEqual([
    [AUTO, 'words', EXACT],
    [AUTO, 'items', ITEMS],
    [BROAD, 'words', EXACT],
    [BROAD, 'items', ITEMS],
  ]);
  expect(checkRoutes(proposeRoutes(structure.adGroups, index), index)).toEqual([]);
});

test('ad groups whose product nobody told are led home by their campaign and their names', () => {
  const bare = aStructure();
  bare.adGroups = bare.adGroups.map((one) => ({ ...one, productId: null }));
  const routes = proposeRoutes(bare.adGroups, indexStructure(bare));
  expect(routes.map(({ sourceId, takes, homeId }) => [sourceId, takes, homeId])).toEqual([
    [AUTO, 'words', EXACT],
    [AUTO, 'items', ITEMS],
  ]);
});

describe('routes', () => {
  test('may be chains and have several homes', () => {
    expect(sentences([between(AUTO, BROAD), between(BROAD, EXACT), between(AUTO, EXACT)])).toEqual([]);
  });

  test.each<[string, Route[], RegExp]>([
    ['a circle', [between(AUTO, BROAD), between(BROAD, AUTO)], /comes back/],
    ['a home that is the source', [between(AUTO, AUTO)], /begins at/],
    ['a home that is gone', [between(AUTO, 999)], /dead end/],
    ['items among the words', [between(AUTO, EXACT, { takes: 'items' })], /ad group of keywords/],
    ['words among the items', [between(AUTO, ITEMS)], /ad group of items/],
  ])('are refused: %s', (_, routes, sentence) => {
    expect(sentences(routes)[0]).toMatch(sentence);
  });
});

test('a route to what has ended since is no route any more', () => {
  const ended = aStructure();
  ended.adGroups[1] = { ...ended.adGroups[1], state: 'archived' };
  const routes = [between(AUTO, EXACT), between(AUTO, ITEMS, { takes: 'items' })];
  expect(liveRoutes(routes, indexStructure(ended)).map(({ homeId }) => homeId)).toEqual([ITEMS]);
  ended.campaigns[2] = { ...ended.campaigns[2], state: 'archived' };
  expect(liveRoutes(routes, indexStructure(ended))).toEqual([]);
});

describe('the name of a new home', () => {
  test.each([
    [['Airlock lids – auto', 'Airlock lids – exact'], 'Airlock lids'],
    [['Crock 5 l | auto', 'Crock 5 l | broad', 'Crock 5 l | exact'], 'Crock 5 l'],
    [['Weights auto', 'Weights automatic'], 'Weights'],
    [['Kites', 'Lids – exact'], 'The product'],
    [['Only one – auto'], 'The product'],
    [['Größe – auto', 'Größe – exact'], 'Größe'],
  ])('begins as %j do: %s', (names, stem) => expect(stemOf(names, 'The product')).toBe(stem));

  test('fills its pattern, and leaves braces that it does not know', () => {
    const parts = { product: 'Airlock lids, 6 pieces', stem: 'Airlock lids', match: 'phrase' };
    expect(nameByPattern('{stem} – {match}', parts)).toBe('Airlock lids – phrase');
    expect(nameByPattern(' {match}  {product} {when}', parts)).toBe('phrase Airlock lids, 6 pieces {when}');
  });

  test('gets a number where others have it', () => {
    expect(freeName('Lids – exact', new Set())).toBe('Lids – exact');
    expect(freeName('Lids – exact', new Set(['Lids – exact', 'Lids – exact 2']))).toBe('Lids – exact 3');
  });
});
