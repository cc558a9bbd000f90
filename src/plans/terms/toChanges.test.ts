import { describe, expect, test } from 'vitest';
import { aLoadedReview } from '../../../tests/make/review';
import { AUTO, EXACT, ITEMS } from '../../../tests/make/terms';
import { matchForm } from '../../core/matching';
import { joinChanges, toChanges } from './toChanges';
import type { Proposal } from './types';

const review = aLoadedReview([
  { term: 'heavy jar weights', clicks: 20, orders: 3, spend: 9, sales: 60 },
  { term: 'paperweight', clicks: 60, spend: 30 },
  { term: 'qy7k3m92ta', clicks: 10, orders: 2, spend: 4, sales: 40 },
  { term: '100% glass  weights!', clicks: 10, orders: 2, spend: 4, sales: 40 },
]);
const places: Proposal['places'] = new Map([
  ['ad group', [{ campaignId: 1, adGroupId: AUTO }]],
  ['campaign', [{ campaignId: 1, adGroupId: null }]],
  [
    'research',
    [
      { campaignId: 1, adGroupId: AUTO },
      { campaignId: 4, adGroupId: 14 },
    ],
  ],
  [
    'list 5',
    [
      { campaignId: 1, adGroupId: null },
      { campaignId: 9, adGroupId: null },
    ],
  ],
]);
const harvest = (over: Partial<Extract<Proposal, { step: 'harvest' }>> = {}): Proposal => ({
  step: 'harvest',
  row: 0,
  isItem: false,
  isExact: false,
  homeId: EXACT,
  bid: 520_000,
  bidDecidedBy: 'worth',
  cap: 1.3,
  expectedCpc: 400_000,
  asksMarket: false,
  gain: { profit: 4_000_000, spend: 1_000_000, sales: 9_000_000 },
  gainFrom: { clicks: 20, spend: 9e6, days: 30, valuePerClick: 3e6, margin: 0.36, sourceBid: 400_000 },
  block: 'ad group',
  match: 'exact',
  places,
  reason: 'sold',
  ...over,
});
const negative = (over: Partial<Extract<Proposal, { step: 'negatives' }>> = {}): Proposal => ({
  step: 'negatives',
  row: 1,
  match: 'exact',
  reach: 'ad group',
  places,
  reason: 'never sold',
  ...over,
});

describe('an accepted harvest', () => {
  test('is a keyword in its home, and a negative in the source that waits for it', () => {
    const [keyword, block] = toChanges(harvest(), review, 0.24)!;
    expect(keyword.change).toEqual({
      kind: 'add-keyword',
      adGroupId: EXACT,
      expression: 'heavy jar weights',
      match: 'exact',
      bid: 520_000,
    });
    expect(block.change).toEqual({
      kind: 'add-negative',
      campaignId: 1,
      adGroupId: AUTO,
      match: 'exact',
      expression: 'heavy jar weights',
    });
    expect(block.after).toBe(0);
  });

  test('tells what it is expected to add once, with the keyword', () => {
    expect(toChanges(harvest(), review, 0.24)!.map(({ effect }) => effect)).toEqual([
      { spend: 1_000_000, sales: 9_000_000 },
      { spend: 0, sales: 0 },
    ]);
  });

  test('of an item code is an item target and an item negative, in capitals', () => {
    const changes = toChanges(harvest({ row: 2, isItem: true, homeId: ITEMS }), review, 0.24)!;
    expect(changes.map(({ change }) => change)).toMatchObject([
      { kind: 'add-item-target', adGroupId: ITEMS, expression: 'QY7K3M92TA' },
      { kind: 'add-negative', match: 'item', expression: 'QY7K3M92TA' },
    ]);
  });

  test('is written without the characters that the market refuses: matching passes over them', () => {
    const expressions = toChanges(harvest({ row: 3 }), review, 0.24)!.map(
      ({ change }) => (change as { expression: string }).expression,
    );
    expect(expressions).toEqual(['100 glass weights', '100 glass weights']);
    expect(matchForm(expressions[0])).toBe(matchForm('100% glass  weights!'));
  });

  test('without the block is the keyword alone; without a home it is none yet', () => {
    expect(toChanges(harvest({ block: 'nowhere' }), review, 0.24)).toHaveLength(1);
    expect(toChanges(harvest({ homeId: null }), review, 0.24)).toBeNull();
  });

  test('keeps the figures it was decided on', () => {
    expect(toChanges(harvest(), review, 0.2)![0].figures).toEqual({
      step: 'harvest',
      termId: 1,
      term: 'heavy jar weights',
      adGroupId: AUTO,
      targetId: 101,
      from: '2026-10-21',
      to: '2026-11-19',
      clicks: 20,
      orders: 3,
      spend: 9_000_000,
      sales: 60_000_000,
      targetAcos: 0.2,
    });
  });
});

describe('an accepted negative', () => {
  test('saves what the term spends in a month', () => {
    const [{ change, effect }] = toChanges(negative(), review, 0.24)!;
    expect(change).toMatchObject({ adGroupId: AUTO, expression: 'paperweight' });
    expect(effect).toEqual({ spend: -30_400_000, sales: -0 });
  });

  test('of a term that sold tells the sales it gives up', () => {
    expect(toChanges(negative({ row: 0 }), review, 0.24)![0].effect.sales).toBe(-60_800_000);
  });

  test('for the whole campaign names no ad group', () => {
    expect(
      toChanges(negative({ reach: 'campaign', match: 'phrase' }), review, 0.24)![0].change,
    ).toMatchObject({ campaignId: 1, adGroupId: null, match: 'phrase' });
  });
});

test('wherever the product looks for terms is a negative in each ad group, the saving told once', () => {
  const list = toChanges(negative({ reach: 'research' }), review, 0.24)!;
  expect(list.map(({ change }) => (change as { adGroupId: number }).adGroupId)).toEqual([AUTO, 14]);
  expect(list.map(({ effect }) => effect.spend < 0)).toEqual([true, false]);
  const moved = toChanges(harvest({ block: 'research' }), review, 0.24)!;
  expect(moved.map(({ after }) => after)).toEqual([undefined, 0, 0]);
});

test('on a named list is a negative for each of its campaigns, and the list is named', () => {
  const list = toChanges(negative({ reach: 'list 5' }), review, 0.24)!;
  expect(list.map(({ change }) => change)).toMatchObject([
    { campaignId: 1, adGroupId: null },
    { campaignId: 9, adGroupId: null },
  ]);
  expect(list.map(({ carries }) => carries?.listId)).toEqual([5, 5]);
});

test('many proposals in one request keep who waits for whom', () => {
  const joined = joinChanges([
    toChanges(negative(), review, 0.24)!,
    toChanges(harvest(), review, 0.24)!,
    toChanges(harvest({ row: 2, isItem: true, homeId: ITEMS }), review, 0.24)!,
  ]);
  expect(joined.map(({ after }) => after)).toEqual([undefined, undefined, 1, undefined, 3]);
});
