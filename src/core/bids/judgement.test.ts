import { describe, expect, test } from 'vitest';
import { settings, someTargets } from '../../../tests/make/bids';
import type { TargetSpec } from '../../../tests/make/bids';
import { bidReason, learntPerCost, proposeBids, settingsOf, USUAL_CHOICES } from '.';
import type { BidProposal } from '.';

/** Twenty targets beside which others are judged: they differ, and an order takes some nineteen clicks on average. */
const OTHERS: TargetSpec[] = Array.from({ length: 20 }, (_, at) => ({
  clicks: 5,
  orders: 2 + ((at * 7) % 20) * 1.5,
}));
/** Completion as a connected account has it: settled after seven days. */
const COMPLETION = [0.6, 0.7, 0.78, 0.84, 0.88, 0.91, 0.93];

const decide = (specs: TargetSpec[], over: Parameters<typeof settings>[0] = {}) =>
  proposeBids({ ...someTargets([...specs, ...OTHERS]), completion: COMPLETION }, settings(over));
const told = (one: BidProposal) =>
  bidReason(one, { days: 60, margin: null, strength: 2, dry: null, held: 1, gamma: 0, isHeldByMoney: false });

describe('a raise', () => {
  const unproven: TargetSpec[] = [
    { clicks: 0.02, orders: 0, cpc: 0.1, bid: 0.15 },
    { clicks: 0.2, orders: 1, cpc: 0.1, bid: 0.15 },
  ];
  const proven: TargetSpec = { clicks: 5, orders: 40, cpc: 0.2, bid: 0.3 };
  const NO_CAP = { testing: { cap: Infinity, share: 0 } };

  test('is room to grow where orders prove it; without them it is a test, told with what it costs at most', () => {
    const [none, one, many] = decide([...unproven, proven], NO_CAP).proposals;
    expect([none.step, one.step, many.step]).toEqual(['test', 'test', 'grow']);
    expect(many.test).toBeNull();
    expect(told(none)).toMatch(/not proven yet.*chance that it sells well enough.*costs at most \d/);
    expect(
      decide([...unproven, proven], { ...NO_CAP, proof: { orders: 1, grade: 'fair' } }).proposals[1].step,
    ).toBe('grow');
  });

  test('never takes a target by itself over its target ACOS', () => {
    const specs = [1, 2, 3, 4, 5, 6, 7, 8].map((orders) => ({
      clicks: 3,
      orders: orders * 4,
      cpc: 0.35,
      bid: 0.4,
    }));
    const { proposals } = decide(specs, { step: { down: 0.6, up: 2 } });
    const raised = proposals.filter(({ step }) => step === 'grow');
    expect(raised.length).toBeGreaterThan(0);
    for (const { after, cpcAfter, rpc } of raised) {
      expect(after.spend / after.sales).toBeLessThanOrEqual(0.25 + 1e-9);
      expect(cpcAfter / rpc).toBeLessThanOrEqual(0.25 + 1e-9);
    }
  });

  test('that is a test goes in the order of what is learnt for its cost, as far as the cap allows', () => {
    const tests = [0.5, 0.2, 0.05, 1].map((clicks) => ({
      clicks,
      orders: clicks === 1 ? 1 : 0,
      cpc: 0.08,
      bid: 0.12,
    }));
    const free = decide(tests, NO_CAP).proposals.filter(({ step }) => step === 'test');
    expect(free).toHaveLength(4);
    const first = [...free].sort((a, b) => learntPerCost(b.test!) - learntPerCost(a.test!))[0];
    const cap = first.test!.cost * 1.001;
    const capped = decide(tests, { testing: { cap, share: 0 } }).proposals;
    expect(capped[first.target].step).toBe('test');
    const cost = capped.reduce((sum, { test: worth, step }) => sum + (step === 'test' ? worth!.cost : 0), 0);
    expect(cost).toBeLessThanOrEqual(cap);
    const beyond = free.filter(({ target }) => capped[target].left === 'test cap');
    expect(beyond.length).toBeGreaterThan(0);
    for (const { target } of beyond)
      expect(capped[target]).toMatchObject({ step: 'none', to: capped[target].from });
    // What the tests of the last 30 days take is taken already.
    const used = proposeBids(
      { ...someTargets([...tests, ...OTHERS]), testsUsed: cap },
      settings({ testing: { cap, share: 0 } }),
    );
    expect(used.proposals.some(({ step }) => step === 'test')).toBe(false);
  });
});

describe('a changed bid', () => {
  /** Costs too much: its bid was 0.80 and is still too high. */
  const lowered = (daysAgo: number, from = 0.8): TargetSpec => ({
    clicks: 0.3,
    orders: 0,
    cpc: 0.6,
    bid: 0.6,
    change: { daysAgo, from: from * 1e6 },
  });

  test('that goes on with its last move is told as its second step, and can be left out', () => {
    const [again] = decide([lowered(8)]).proposals;
    expect(again).toMatchObject({ isSecondStep: true, left: null });
    expect(told(again)).toMatch(/second step toward 0\.\d\d, nothing new since the one of 8 days ago/);
    const [without] = decide([lowered(8)], { hold: { settledDays: 7, secondSteps: false } }).proposals;
    expect(without).toMatchObject({ step: 'none', left: 'second step' });
  });

  test('waits for settled days before it is moved the other way, and says how many it had', () => {
    const [held] = decide([lowered(10, 0.4)]).proposals;
    expect(held).toMatchObject({ step: 'none', left: 'hold', since: { settledDays: 3 } });
    expect(told(held)).toMatch(/^Raised 0\.40 → 0\.60 10 days ago, 3 settled days and \d+ clicks since/);
  });

  test('waits no longer once it had the clicks that an order usually takes', () => {
    const busy = { ...lowered(10, 0.4), clicks: 6 };
    expect(decide([busy]).proposals[0].left).not.toBe('hold');
  });

  test('is moved the other way only where the days since ask for it too', () => {
    // 60 days: all of its orders came before it was lowered, eighteen days ago.
    const seen = { ...someTargets([{ clicks: 6, cpc: 0.3, bid: 0.35 }, ...OTHERS]), completion: COMPLETION };
    const sold = (from: number, to: number) => {
      const { target, age, orders, sales } = seen.days;
      const days = {
        ...seen.days,
        orders: orders.map((own, row) =>
          target[row] === 0 ? (age[row] >= from && age[row] < to ? 3 : 0) : own,
        ),
        sales: sales.map((own, row) =>
          target[row] === 0 ? (age[row] >= from && age[row] < to ? 90e6 : 0) : own,
        ),
      };
      const targets = seen.targets.map((one, at) =>
        at === 0 ? { ...one, change: { daysAgo: 18, from: 500_000 } } : one,
      );
      return proposeBids({ ...seen, days, targets }, settings()).proposals[0];
    };
    expect(sold(18, 40)).toMatchObject({ step: 'none', left: 'days since disagree' });
    expect(sold(2, 24)).toMatchObject({ step: 'grow' });
  });
});

describe('a target that was made from here', () => {
  const made: TargetSpec = { clicks: 0, bid: 0.3, change: { daysAgo: 0, from: null } };
  const before = { clicks: 40, orders: 6, sales: 180e6 };

  test('starts with what its term brought elsewhere, and says so', () => {
    const [blank] = decide([made]).proposals;
    const [known] = decide([{ ...made, before }]).proposals;
    expect(known.orders).toBe(6);
    expect(known.conversion.mean).toBeGreaterThan(blank.conversion.mean * 1.3);
    const later = { ...made, before, change: { daysAgo: 30, from: null } };
    expect(told(decide([later]).proposals[0])).toContain(
      '(40 clicks and 6 orders of them elsewhere, before it was made 30 days ago)',
    );
  });

  test('changes nothing of what is usual for others: there the term counted already', () => {
    const usual = (list: TargetSpec[]) => decide(list).proposals.at(-1)!.conversion.usual;
    expect(usual([{ ...made, before }])).toBe(usual([made]));
  });

  test('waits from the day on which it was made', () =>
    expect(decide([{ ...made, before }]).proposals[0].left).toBe('hold'));
});

describe('a target that is a range', () => {
  const scoped = (specs: TargetSpec[], low: number, high: number) =>
    proposeBids(
      someTargets([...specs, ...OTHERS], {
        scopes: [{ targetAcos: (low + high) / 2, range: { low, high } }],
      }),
      settings({ testing: { cap: Infinity, share: 0 } }),
    ).proposals;

  test('is done inside; outside the nearer edge is aimed at', () => {
    const wide = scoped([], 0.05, 0.6);
    expect(wide.every(({ left, to, from }) => left === 'in range' && to === from)).toBe(true);
    const high = scoped([], 0.02, 0.03);
    expect(high.every(({ aim, to, from }) => aim === 0.03 && to < from)).toBe(true);
    const low = scoped([], 0.9, 0.95);
    expect(low.every(({ aim, wanted, from }) => aim === 0.9 && wanted > from)).toBe(true);
  });
});

describe('the figures of a reason', () => {
  test('give the conversion and the wanted bid that it tells', () => {
    const plan = decide([{ clicks: 5, orders: 40, cpc: 0.2, bid: 0.3 }]);
    const [one] = plan.proposals;
    const { exposure, orders, conversion, rho, rpc, raise, wanted } = one;
    const clicks = plan.strength / conversion.usual;
    expect((orders + conversion.usual * clicks) / (exposure + clicks)).toBeCloseTo(conversion.mean, 12);
    expect(wanted).toBeLessThanOrEqual(Math.round((rho * rpc) / raise));
    expect(told(one)).toMatch(
      /weighed by placement and late orders \d+ clicks, and what is usual, \d\.\d %, like \d+ more: converts/,
    );
  });
});

describe('where every click has one price', () => {
  const one = (specs: TargetSpec[]) => {
    const { limits } = settings();
    return decide(
      specs.map((spec) => ({ ...spec, cpc: 0.4, bid: 0.4 })),
      { limits: { ...limits, minBid: 400_000, maxBid: 400_000 }, isOnePrice: true },
    ).proposals;
  };

  test('is told by the market alone: a floor and a cap that meet pause nothing', () => {
    const market = { minBid: 20_000, maxBid: 1_000_000_000, bidStep: 10_000 };
    const bounded = settingsOf({ ...USUAL_CHOICES, floor: 400_000, cap: 400_000 }, market);
    expect(bounded.isOnePrice).toBeUndefined();
    expect(decide([{ clicks: 6, orders: 0, cpc: 0.4, bid: 0.4 }], bounded).proposals[0].to).toBe(400_000);
    const fixed = settingsOf(USUAL_CHOICES, { ...market, minBid: 400_000, maxBid: 400_000 });
    expect(fixed.isOnePrice).toBe(true);
  });

  test('what is unlikely to meet its target is paused, with its chance; the rest goes on as it is', () => {
    const [dead, poor, good, fresh] = one([
      { clicks: 6, orders: 0 },
      { clicks: 6, orders: 4 },
      { clicks: 6, orders: 60 },
      { clicks: 0, orders: 0 },
    ]);
    expect([dead.step, poor.step, good.step, fresh.step]).toEqual(['dead', 'over', 'none', 'none']);
    expect([dead.to, poor.to, good.to, fresh.to]).toEqual([0, 0, 400_000, 400_000]);
    expect(poor.after).toEqual({ clicks: 0, spend: 0, sales: 0 });
    expect(told(poor)).toMatch(
      /\d % chance that it reaches 25 %, and a click costs what it costs here: pause/,
    );
    expect(told(good)).toMatch(/costs 0\.40 here, whatever is done; \d+ % chance that it stays within 25 %/);
  });
});
