import { describe, expect, test } from 'vitest';
import { aContext, anAdGroup, aStructure, AUTO, EXACT } from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { matchForm } from '../matching';
import { coreList, termWords } from '.';

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
