import { describe, expect, test } from 'vitest';
import { threeTargets } from '../../../tests/make/bids';
import { actOf, sumActs } from './bidEdits';
import type { BidEdit } from './bidEdits';
import { summaryWords } from './summaryWords';
import { reasonOf, toBidChange } from './toBidChanges';

const { table, plan } = threeTargets();
const act = (row: number, edit?: BidEdit) =>
  actOf(plan, table, new Map(edit ? [[table.targetId[row], edit]] : []), row);
const change = (row: number, edit?: BidEdit) => {
  const edits = new Map(edit ? [[table.targetId[row], edit]] : []);
  return toBidChange(actOf(plan, table, edits, row), plan, table, edits, 'over');
};
const limits = { minBid: 20_000, maxBid: 1_000_000_000 };

describe('what accepting a row does', () => {
  test('is what is proposed, with what a month comes to then', () => {
    expect(act(0)).toMatchObject({ targetId: 1001, isPause: false, from: 400_000 });
    expect(act(0).to).toBeLessThan(400_000);
    expect(act(0).after.spend).toBeLessThan(act(0).now.spend);
  });

  test('is her own bid instead, the month following it', () => {
    const edited = act(0, { kind: 'bid', to: 200_000 });
    expect(edited.to).toBe(200_000);
    expect(edited.after.clicks).toBeCloseTo(edited.now.clicks / 2);
    expect(edited.after.spend).toBeCloseTo(edited.now.spend * 0.5 ** 1.8);
  });

  test('is a pause, after which nothing comes', () => {
    expect(act(0, { kind: 'pause' })).toMatchObject({
      isPause: true,
      after: { clicks: 0, spend: 0, sales: 0 },
    });
  });
});

describe('the change that is staged', () => {
  test('has the bid, the reason with its numbers, the figures of the window, and what is expected', () => {
    const made = change(0)!;
    expect(made.change).toEqual({ kind: 'set-bid', targetId: 1001, from: 400_000, to: act(0).to });
    expect(made.reason).toBe(reasonOf(plan, table, 0));
    expect(made.reason).toContain('0 orders in 60 days');
    expect(made.figures).toMatchObject({ step: 'dead', clicks: 60, spend: 24_000_000 });
    expect(made.effect.spend).toBeLessThan(0);
  });

  test('says when it was edited', () => {
    const made = change(1, { kind: 'bid', to: 450_000 })!;
    expect(made.reason).toMatch(/^Edited by hand\. /);
  });

  test('pauses, giving up what the target sells', () => {
    const made = change(1, { kind: 'pause' })!;
    expect(made.change).toMatchObject({ kind: 'set-state', entity: 'target', id: 1002, to: 'paused' });
    expect(made.effect.sales).toBe(-Math.round(act(1).now.sales));
  });

  test('is none where the bid would stay', () => {
    expect(change(2)).toBeNull();
    expect(change(0, { kind: 'bid', to: 400_000 })).toBeNull();
  });
});

describe('a whole step in words', () => {
  test('counts what goes down, up, is paused, stands at a limit, and stays', () => {
    const acts = [act(0, { kind: 'bid', to: 20_000 }), act(1), act(2), act(1, { kind: 'pause' })];
    const summary = sumActs(acts, limits);
    expect(summary).toMatchObject({ count: 3, down: 1, up: 1, paused: 1, atFloor: 1, atCap: 0, same: 1 });
    expect(summaryWords(summary, 'EUR').does).toBe(
      '1 bid down, 1 bid up, 1 target paused, 1 at the floor, 1 stays as it is',
    );
  });

  test('tells the month’s spend, sales and ACOS before and after, of what changes alone', () => {
    const summary = sumActs([act(0), act(2)], limits);
    expect(summary.now.spend).toBe(act(0).now.spend);
    expect(summaryWords(summary, 'EUR').brings).toMatch(
      /^spend about −[\d,.]+ EUR a month, sales −[\d,.]+, ACOS of these [\d,.]+ % → [\d,.]+ %$/,
    );
  });

  test('of nothing has nothing to say', () => {
    expect(summaryWords(sumActs([], limits), 'EUR').does).toBe('');
  });
});
