import { describe, expect, test } from 'vitest';
import { anAdGroup, aStructure, aTarget, AUTO, EXACT, ITEMS } from '../../../tests/make/terms';
import { indexStructure } from '../structure';
import { checkRoutes, proposeRoutes, USUAL_START } from '.';
import type { Route } from '.';

const BROAD = 14;
const structure = aStructure();
structure.adGroups.push(anAdGroup({ id: BROAD, campaignId: 1, name: 'broad' }));
structure.targets.push(
  aTarget({ id: 140, adGroupId: BROAD, kind: 'keyword', match: 'broad', expression: 'weights' }),
);
const index = indexStructure(structure);
const aRoute = (sourceId: number, homeId: number, over: Partial<Route> = {}): Route => ({
  sourceId,
  homeId,
  takes: 'words',
  match: 'exact',
  block: 'ad group',
  asks: null,
  start: USUAL_START,
  ...over,
});
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
    expect(sentences([aRoute(AUTO, BROAD), aRoute(BROAD, EXACT), aRoute(AUTO, EXACT)])).toEqual([]);
  });

  test.each<[string, Route[], RegExp]>([
    ['a circle', [aRoute(AUTO, BROAD), aRoute(BROAD, AUTO)], /comes back/],
    ['a home that is the source', [aRoute(AUTO, AUTO)], /begins at/],
    ['a home that is gone', [aRoute(AUTO, 999)], /dead end/],
    ['items among the words', [aRoute(AUTO, EXACT, { takes: 'items' })], /ad group of keywords/],
    ['words among the items', [aRoute(AUTO, ITEMS)], /ad group of items/],
  ])('are refused: %s', (_, routes, sentence) => {
    expect(sentences(routes)[0]).toMatch(sentence);
  });
});
