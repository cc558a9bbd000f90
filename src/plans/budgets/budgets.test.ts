import { describe, expect, test } from 'vitest';
import { sixtyDays } from '../../../tests/make/bids';
import { aTree, sumsByTarget } from '../../../tests/make/lenses';
import { aBudgetRow } from '../../../tests/make/round';
import { settingsOf, USUAL_CHOICES } from '../../core/bids';
import { USUAL_LIMITS } from '../../core/changes';
import { buildLens } from '../../core/lenses';
import { indexTree } from '../../core/structure';
import type { CampaignNode, Target } from '../../core/structure';
import type { MoneyChoices } from '../../contract/choices';
import { keptBids } from '../bids';
import {
  budgetChanges,
  budgetProposals,
  budgetRows,
  budgetStake,
  isMoved,
  ownCampaignChanges,
  pendingBudgets,
  spendShares,
} from '.';
import type { BudgetRow } from '.';

const index = indexTree(aTree());
const settings = settingsOf(USUAL_CHOICES, USUAL_LIMITS);
// Ten clicks a day at 0.30 each: campaign 1 sells nothing, campaign 2 sells cheaply.
const bids = keptBids(
  index,
  sixtyDays([
    { id: 1001, orders: 0 },
    { id: 1002, orders: 0 },
    { id: 1003, orders: 5 },
  ]),
);
const at = (money: Partial<MoneyChoices> | null, locks: [number, number][] = []) =>
  budgetProposals(bids, {
    settings: money
      ? { ...settings, money: { means: null, month: null, over: 1, byBids: [], ...money } }
      : settings,
    locks,
  });

describe('budgets as one plan', () => {
  test('propose nothing until it is said what the money is for', () => {
    const plan = at(null);
    expect(plan.isAsked).toBe(false);
    expect(plan.rows.map(({ campaignId }) => campaignId)).toEqual([1, 2, 3]);
    expect(plan.rows.some(isMoved)).toBe(false);
    expect(plan.total.after).toBe(plan.total.before);
    expect(plan.gain).toMatchObject({ spend: 0, sales: 0 });
  });

  test('keep the sum where it is to stay, to the micro', () => {
    const { rows, total, isAsked } = at({ means: 'sum stays' });
    expect(isAsked).toBe(true);
    const sum = (of: (row: BudgetRow) => number | null) => rows.reduce((all, row) => all + (of(row) ?? 0), 0);
    expect(total.before).toBe(30_000_000);
    expect(sum(({ to }) => to)).toBe(sum(({ from }) => from));
  });

  test('give way around a budget that was set by hand', () => {
    const { rows, total } = at({ means: 'sum stays' }, [[1, 4_000_000]]);
    const [first] = rows;
    expect(first).toMatchObject({ to: 4_000_000, isLocked: true });
    expect(total.after).toBeLessThanOrEqual(total.limit);
  });

  test('stand by the rows of a table of campaigns, in its order', () => {
    const reversed = indexTree(aTree({ campaigns: aTree().campaigns.reverse() }));
    const table = buildLens('campaigns', reversed, sumsByTarget([]));
    const ids = budgetRows(at({ means: 'sum stays' }), table).rows.map(({ campaignId }) => campaignId);
    expect(ids).toEqual([...table.campaignId]);
  });

  test('are asked for again where a campaign is newer than they are', () => {
    const [first] = aTree().campaigns;
    const more = indexTree(aTree({ campaigns: [...aTree().campaigns, { ...first, id: 4 }] }));
    const table = buildLens('campaigns', more, sumsByTarget([]));
    expect(() => budgetRows(at({ means: 'sum stays' }), table)).toThrow('Try again');
  });
});

describe('a budget that moves is accepted', () => {
  const table = buildLens('campaigns', index, sumsByTarget([{ id: 1003, now: { clicks: 820, spend: 246 } }]));
  const row = table.campaignId.indexOf(2);
  const changeOf = (over: Partial<BudgetRow>) => {
    const rows = Array.from(table.campaignId, () => aBudgetRow(over));
    return budgetChanges(rows, table, [row]);
  };

  test('with what it is decided on, and what a month is expected to change by', () => {
    const [{ change, figures, effect, reason }] = changeOf({});
    expect(change).toEqual({ kind: 'set-budget', campaignId: 2, from: 10_000_000, to: 14_000_000 });
    expect(figures).toMatchObject({ step: 'budgets', clicks: 820, spend: 246_000_000 });
    expect(effect).toEqual({ spend: 60_000_000, sales: 400_000_000 });
    expect(reason).toContain('raised from 10.00 to 14.00');
  });

  test('from what the market has, also where the tray has another one', () => {
    const [{ change }] = changeOf({ stands: 10_000_000, from: 12_000_000 });
    expect(change).toMatchObject({ from: 10_000_000, to: 14_000_000 });
    expect(changeOf({ stands: 14_000_000, from: 12_000_000 })).toEqual([]);
  });

  test('not where there is no daily budget to move', () => {
    expect(changeOf({ stands: null })).toEqual([]);
    expect(changeOf({ to: null })).toEqual([]);
  });

  test('and says so where it was set by hand', () => {
    expect(changeOf({ isLocked: true })[0].reason.startsWith('Set by hand. ')).toBe(true);
  });

  test('in the order of the sales that it wins; one that stays has none', () => {
    expect(budgetStake(aBudgetRow())).toBe(400_000_000);
    expect(budgetStake(aBudgetRow({ left: 'as needed' }))).toBe(0);
    expect(
      [aBudgetRow(), aBudgetRow({ to: 10_000_000 }), aBudgetRow({ left: 'no clicks' })].map(isMoved),
    ).toEqual([true, false, false]);
  });

  test('once: a campaign whose budget is in the tray is done with', () => {
    const change = { kind: 'set-budget', campaignId: 2, from: 10_000_000, to: 14_000_000 } as const;
    const pause = { kind: 'set-state', entity: 'campaign', id: 3, from: 'enabled', to: 'paused' } as const;
    expect(pendingBudgets([{ change }, { change }, { change: pause }])).toEqual([2]);
  });
});

describe('who takes whose money in a campaign', () => {
  test('is told by target, the largest first, with the ACOS that its clicks come to', () => {
    const shares = spendShares(bids, 1, 1_000_000)!;
    expect(shares.targets.map(({ name }) => name).sort()).toEqual(['near searches', 'rival items']);
    const spends = shares.targets.map(({ spend }) => spend);
    expect(spends).toEqual([...spends].sort((a, b) => b - a));
    expect(shares.others).toEqual({ spend: 0, count: 0 });
  });

  test('names no strong one where the campaign does not run dry, and nothing for a campaign that is not known', () => {
    expect(spendShares(bids, 2, 1_000_000)!.strong).toBeNull();
    expect(spendShares(bids, 4711, 1_000_000)).toBeNull();
  });
});

describe('a target gets a campaign of its own', () => {
  const old = index.campaigns.get(2)! as CampaignNode;
  const own = (expression: string, over: Partial<Target>, leaves: number | null = 6_000_000) =>
    ownCampaignChanges(
      {
        target: { ...index.targets.get(1003)!, expression, ...over },
        adGroup: index.adGroups.get(12)!,
        old,
        productId: 101,
        name: 'Own',
        bid: 700_000,
        budget: 4_000_000,
        leaves,
      },
      { campaignId: -1, adGroupId: -2 },
    );

  test('with the modifiers of the old one; each part behind the one that it hangs in', () => {
    const changes = own('stoneware crock', {});
    expect(changes.map(({ change }) => change.kind)).toEqual([
      'add-campaign', 'add-ad-group', 'add-ad', 'add-keyword', 'set-budget', 'set-state',
    ]); // prettier-ignore
    expect(changes[0].change).toMatchObject({ budget: 4_000_000, top: 0.5, rest: 0, pages: 0.1 });
    expect(changes.map(({ after }) => after)).toEqual([undefined, 0, 1, 2, 3, 3]);
  });

  test('and is paused where it ran only when the new one is made, so that it never stops', () => {
    const paused = own('stoneware crock', {}).at(-1)!;
    expect(paused.change).toEqual({
      kind: 'set-state',
      entity: 'target',
      id: 1003,
      from: 'enabled',
      to: 'paused',
    });
    expect(paused.after).toBe(3);
  });

  test('the old budget stays where it is not said what it keeps, or keeps all', () => {
    const kinds = (leaves: number | null) =>
      own('stoneware crock', {}, leaves).map(({ change }) => change.kind);
    expect(kinds(null)).not.toContain('set-budget');
    expect(kinds(old.budget)).not.toContain('set-budget');
  });

  test('an item stays an item', () => {
    const [, , , target] = own('QY7K3M92TD', { kind: 'item', match: null });
    expect(target.change).toMatchObject({ kind: 'add-item-target', expression: 'QY7K3M92TD', bid: 700_000 });
  });
});
