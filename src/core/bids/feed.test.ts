import { describe, expect, test } from 'vitest';
import { aBidFeed, settings, someTargets } from '../../../tests/make/bids';
import { aTree, aTreeTarget } from '../../../tests/make/lenses';
import { USUAL_LIMITS } from '../changes';
import { indexTree } from '../structure';
import type { AccountTree } from '../structure';
import {
  effectAtBid,
  monthAt,
  observationsOf,
  planByRows,
  planColumns,
  proposalAt,
  proposeBids,
  settingsOf,
  stakeOf,
  USUAL_CHOICES,
} from '.';
import type { BidFeed } from '.';

const observed = (feed: Partial<BidFeed> = {}, tree: Partial<AccountTree> = {}) =>
  observationsOf(indexTree(aTree(tree)), aBidFeed(feed));
const target = (id: number, feed: Partial<BidFeed> = {}, tree: Partial<AccountTree> = {}) => {
  const { observations, targetIds } = observed(feed, tree);
  return observations.targets[targetIds.indexOf(id)];
};

describe('what the engine is told of an account', () => {
  test('is the bid that holds: its own, or its ad group’s default', () => {
    expect([1001, 1002].map((id) => target(id).bid)).toEqual([400_000, 300_000]);
  });

  test('a target runs when it, its ad group and its campaign do, and it has a bid', () => {
    const paused = (over: Partial<AccountTree>) => target(1001, {}, over).isRunning;
    const tree = aTree();
    expect(target(1001).isRunning).toBe(true);
    expect(paused({ campaigns: tree.campaigns.map((one) => ({ ...one, state: 'paused' as const })) })).toBe(
      false,
    );
    expect(paused({ adGroups: tree.adGroups.map((one) => ({ ...one, state: 'archived' as const })) })).toBe(
      false,
    );
    const bidless = {
      targets: [aTreeTarget({ id: 1001, bid: null })],
      adGroups: tree.adGroups.map((one) => ({ ...one, defaultBid: null })),
    };
    expect(paused(bidless)).toBe(false);
  });

  test('targets that aim at the same ACOS by the same goal are one scope', () => {
    const goals = [{ scope: 'product' as const, scopeId: 102, kind: 'acos' as const, low: 0.1, high: 0.1 }];
    const { observations, accountScope } = observed({}, { goals });
    expect(observations.scopes.map(({ targetAcos }) => targetAcos).sort()).toEqual([0.1, 0.25]);
    expect(observations.scopes[accountScope].targetAcos).toBe(0.25);
    expect(target(1005, {}, { goals }).scope).not.toBe(target(1001, {}, { goals }).scope);
  });

  test('each day has the bid that held on it, as later changes moved it', () => {
    const days = {
      targetId: [1001, 1001, 1001, 999],
      age: [0, 5, 20, 0],
      clicks: [1, 1, 1, 1],
      spend: [1, 1, 1, 1],
      orders: [0, 0, 0, 0],
      sales: [0, 0, 0, 0],
    };
    // The day of decision is 15 November: changes of the 5th and the 12th.
    const bidChanges = [
      { targetId: 1001, day: '2026-11-05', from: 200_000 },
      { targetId: 1001, day: '2026-11-12', from: 350_000 },
    ];
    const { observations } = observed({ days, bidChanges });
    // Rows of a target that is not known any more are left out.
    expect([...observations.days.age]).toEqual([0, 5, 20]);
    expect([...observations.days.bid]).toEqual([NaN, 350_000, 200_000]);
  });

  test('a lifetime budget is none for a day', () => {
    const campaigns = aTree().campaigns.map((one) => ({ ...one, budgetKind: 'lifetime' as const }));
    expect(observed({}, { campaigns }).observations.campaigns.map(({ budget }) => budget)).toEqual([
      null,
      null,
      null,
    ]);
  });
});

describe('a plan as columns', () => {
  test('gives every proposal back, row by row', () => {
    const observations = someTargets([
      { orders: 20, clicks: 10 },
      { clicks: 12 },
      { orders: 3, change: { daysAgo: 1, from: 300_000 } },
      { isRunning: false },
    ]);
    const plan = proposeBids(observations, settings());
    const account = {
      observations,
      targetIds: Int32Array.of(11, 12, 13, 14),
      campaignIds: Int32Array.of(1),
      accountScope: 0,
    };
    const rows = [14, 12, 11, 13, 99];
    const columns = planByRows(planColumns(plan, account), rows.length, (row) => rows[row]);
    for (const [row, id] of rows.slice(0, 4).entries())
      expect(proposalAt(columns, row)).toEqual({ ...plan.proposals[id - 11], target: row });
    // A row that the plan does not know has no bid to propose.
    expect(proposalAt(columns, 4)).toMatchObject({ step: 'none', left: 'not running' });
  });
});

describe('the choices of a round', () => {
  const limits = { ...USUAL_LIMITS, minBid: 50_000, maxBid: 5_000_000 };

  test('keep the market’s limits, and narrower ones that she sets', () => {
    expect(settingsOf(USUAL_CHOICES, limits).limits).toMatchObject({ minBid: 50_000, maxBid: 5_000_000 });
    const own = settingsOf({ ...USUAL_CHOICES, floor: 100_000, cap: 2_000_000 }, limits);
    expect(own.limits).toMatchObject({ minBid: 100_000, maxBid: 2_000_000 });
    const wide = settingsOf({ ...USUAL_CHOICES, floor: 10_000, cap: 9_000_000 }, limits);
    expect(wide.limits).toMatchObject({ minBid: 50_000, maxBid: 5_000_000 });
  });

  test('never let a cap fall below the floor', () => {
    const { minBid, maxBid } = settingsOf({ ...USUAL_CHOICES, floor: 500_000, cap: 200_000 }, limits).limits;
    expect(maxBid).toBeGreaterThanOrEqual(minBid);
  });

  test('take her own numbers for the pace', () => {
    const own = { down: 0.05, up: 0.4 };
    expect(settingsOf({ ...USUAL_CHOICES, pace: 'own', own }, limits).step).toEqual(own);
  });
});

describe('how far a round goes', () => {
  const mixed = someTargets([
    { orders: 40, clicks: 20, cpc: 0.2 },
    { orders: 4, clicks: 20, cpc: 0.8 },
    { orders: 12, clicks: 10, cpc: 0.3 },
  ]);
  const byPace = (down: number, up: number) => proposeBids(mixed, settings({ step: { down, up } })).proposals;

  test('does not change where it goes to: the wanted bids are the same at every pace', () => {
    const wanted = (list: ReturnType<typeof byPace>) => list.map((one) => one.wanted);
    expect(wanted(byPace(0.05, 0.05))).toEqual(wanted(byPace(0.6, 0.6)));
  });

  test('thin evidence is left alone when more is asked for', () => {
    const few = someTargets([
      { clicks: 0.1, orders: 0 },
      { orders: 30, clicks: 20 },
    ]);
    const [thin, strong] = proposeBids(few, settings({ leastEvidence: 'strong' })).proposals;
    expect(thin.left).toBe('thin evidence');
    expect(strong.left).not.toBe('thin evidence');
  });

  test('a campaign that runs dry gets no dearer clicks: the same ones are bought cheaper', () => {
    const dry = someTargets([{ orders: 40, clicks: 20, cpc: 0.2 }], {
      campaigns: [{ budget: 4_000_000, modifiers: [0, 0, 0] }],
    });
    const [proposal] = proposeBids(dry, settings()).proposals;
    expect(proposal).toMatchObject({ step: 'over', left: null });
    expect(proposal.to).toBeLessThan(proposal.from);
  });
});

describe('a target whose bid is not known', () => {
  const known = [
    { orders: 30, clicks: 20, cpc: 0.3 },
    { orders: 6, clicks: 10, cpc: 0.5 },
  ];

  test('gets none, and what it cost is what was paid', () => {
    const [, , unknown] = proposeBids(
      someTargets([...known, { bid: 0, orders: 9, clicks: 8, cpc: 0.7 }]),
      settings(),
    ).proposals;
    expect(unknown).toMatchObject({ step: 'none', from: 0, to: 0 });
    expect(unknown.cpc).toBeCloseTo(700_000, -1);
  });

  test('spoils nothing for the others: every number is one, and their costs stay as they were', () => {
    const without = proposeBids(someTargets(known), settings()).proposals;
    const mixed = proposeBids(
      someTargets([...known, { bid: 0, orders: 9, clicks: 8, cpc: 0.7 }]),
      settings(),
    );
    for (const { rpc, cpc, wanted, needed, now, after } of mixed.proposals)
      for (const number of [rpc, cpc, wanted, needed, ...Object.values(now), ...Object.values(after)])
        expect(number).toSatisfy(Number.isFinite);
    without.forEach(({ cpc }, at) => expect(mixed.proposals[at].cpc).toBeCloseTo(cpc, 3));
  });
});

describe('money', () => {
  const now = { clicks: 100, spend: 50, sales: 100 };

  test('at stake is the spend of what is dead, what is above target, what is to be won', () => {
    const after = { clicks: 120, spend: 70, sales: 130 };
    expect(stakeOf('dead', now, after, 0.2)).toBe(50);
    expect(stakeOf('over', now, after, 0.2)).toBe(30);
    expect(stakeOf('grow', now, after, 0.2)).toBe(30);
    expect(stakeOf('none', now, after, 0.2)).toBe(0);
  });

  test('expected of an edited bid is what the plan would have said of it', () => {
    const bids = { from: 400_000, to: 300_000 };
    const planned = monthAt({ clicks: 0, spend: 50e6, sales: 100e6 }, 0.75);
    const effect = { spend: planned.spend - 50e6, sales: planned.sales - 100e6 };
    const other = monthAt({ clicks: 0, spend: 50e6, sales: 100e6 }, 1.25);
    const edited = effectAtBid(effect, { ...bids, next: 500_000 });
    expect(edited.spend).toBeCloseTo(other.spend - 50e6, -1);
    expect(edited.sales).toBeCloseTo(other.sales - 100e6, -1);
    // (Toward zero from below, too: minus nothing is nothing.)
    expect(Math.abs(effectAtBid(effect, { ...bids, next: 400_000 }).spend)).toBe(0);
  });
});
