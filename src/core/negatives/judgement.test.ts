import { describe, expect, test } from 'vitest';
import { aContext, anAdGroup, aStructure, aTarget, AUTO } from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { USUAL_LIMITS } from '../changes';
import { negativeReason, placesOf, proposeNegatives } from '.';
import type { NegativeSettings } from '.';

const settings: NegativeSettings = {
  basis: 'chance',
  clicksMultiple: 2,
  chance: 0.2,
  leastSpend: 1_000_000,
  bySource: {},
  targetAcos: 0.24,
};

describe('over all settled days that bids use', () => {
  const NONE = { clicks: 0, orders: 0, spend: 0, sales: 0 };
  /** Cost 20 in the window without an order. */
  const term: TermSpec = { term: 'middling', clicks: 40, spend: 20 };
  const one = (spec: TermSpec, over: Partial<NegativeSettings> = {}, structure = aStructure()) => {
    const context = aContext([spec], structure);
    const list = proposeNegatives(context, { ...settings, ...over }, USUAL_LIMITS);
    return {
      isProposed: list.some(({ row }) => row === 0),
      reason: negativeReason(context, 0, 0.24, USUAL_LIMITS),
    };
  };

  test('a term that sold before the window is judged by that too, in rule and sentence', () => {
    const sold = { ...term, all: { clicks: 160, orders: 8, spend: 80, sales: 160 } };
    expect(one(term).isProposed).toBe(true);
    expect(one(sold).isProposed).toBe(false);
    expect(one(sold).reason).toMatch(/^160 clicks, 8 orders in 120 days; .* 20\.00 spent in the window/);
    expect(one(sold, { basis: 'counts' }).isProposed).toBe(false);
  });

  test('a term that paid over 60 of them is never proposed, and that is said', () => {
    const paid = { ...term, last60: { spend: 24, sales: 120 } };
    expect(one(paid)).toMatchObject({
      isProposed: false,
      reason: expect.stringContaining('It paid over 30, 60 or 90 settled days') as string,
    });
    expect(one({ ...term, last60: { spend: 40, sales: 120 } }).isProposed).toBe(true);
  });

  test('a term that makes most of its target’s clicks is a bid matter where a lower bid would put it on target', () => {
    const target = aTarget({
      id: 150,
      kind: 'keyword',
      match: 'phrase',
      expression: 'middling',
      bid: 700_000,
    });
    const structure = aStructure({ targets: [...aStructure().targets, target] });
    const alone = { ...term, targetId: 150 };
    expect(one(alone, {}, structure)).toMatchObject({
      isProposed: false,
      reason: expect.stringMatching(
        /A bid matter: “middling” catches little else, and at a bid of 0\.\d\d \(now 0\.70\)/,
      ) as string,
    });
    // The same target catches much more: its bid cannot be set for one term.
    expect(one(term, {}, structure).isProposed).toBe(true);
    const hopeless = { ...alone, all: { ...NONE, clicks: 4_000, spend: 2_000 } };
    expect(one(hopeless, {}, structure).isProposed).toBe(true);
  });

  test('words are never blocked where an ad group bids on items alone', () => {
    const items = anAdGroup({ id: 15, campaignId: 1, name: 'items and categories' });
    const research = anAdGroup({ id: 16, campaignId: 1, name: 'research' });
    const structure = aStructure({
      adGroups: [...aStructure().adGroups, items, research],
      targets: [
        ...aStructure().targets,
        aTarget({ id: 160, adGroupId: 15, kind: 'category', expression: 'Jars' }),
        aTarget({ id: 161, adGroupId: 16, kind: 'keyword', match: 'broad', expression: 'jar' }),
      ],
    });
    const places = (name: string) =>
      placesOf(aContext([{ term: name }], structure), 0, 'research').map(({ adGroupId }) => adGroupId);
    expect(places('open jar')).toEqual([AUTO, 16]);
    expect(places('qy7k3m92ta')).toContain(15);
  });
});
