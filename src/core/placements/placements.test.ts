import { describe, expect, test } from 'vitest';
import { settings, someTargets } from '../../../tests/make/bids';
import type { TargetSpec } from '../../../tests/make/bids';
import { decideBids, prepareBids, withAhead } from '../bids';
import type { BidObservations } from '../bids';
import { modifierBy } from './byHand';
import { monthUnder } from './effect';
import { proposePlacements } from './proposePlacements';
import { placementReason } from './reason';

const DAYS = 60;
const TOP = 0;

/** Campaigns whose clicks of every day are parted by placement: clicks, orders over all days, cost per click. */
function placed(
  specs: TargetSpec[],
  cells: { campaign: number; placement: number; clicks: number; orders: number; cpc: number }[],
  campaigns: BidObservations['campaigns'],
) {
  const days = cells.flatMap((cell) => Array.from({ length: DAYS }, (_, age) => ({ ...cell, age })));
  return prepareBids({
    ...someTargets(specs, { campaigns }),
    placements: {
      campaign: Int32Array.from(days, (one) => one.campaign),
      placement: Int32Array.from(days, (one) => one.placement),
      age: Int32Array.from(days, (one) => one.age),
      clicks: Float64Array.from(days, (one) => one.clicks),
      spend: Float64Array.from(days, (one) => one.clicks * one.cpc * 1e6),
      orders: Float64Array.from(days, (one) => one.orders / DAYS),
    },
  });
}

const campaign = (modifiers: [number, number, number] = [0, 0, 0]) => ({ budget: null, modifiers });
/** At the top twice as many orders a click as in the rest, on product pages half as many. */
const betterAtTop = (modifiers: [number, number, number] = [0, 0, 0], scale = 1) =>
  placed(
    [{ clicks: 10 * scale, orders: 60 * scale }],
    [
      { campaign: 0, placement: 0, clicks: 3 * scale, orders: 28.8 * scale, cpc: 0.5 },
      { campaign: 0, placement: 1, clicks: 5 * scale, orders: 24 * scale, cpc: 0.4 },
      { campaign: 0, placement: 2, clicks: 2 * scale, orders: 4.8 * scale, cpc: 0.3 },
    ],
    [campaign(modifiers)],
  );
const only = (prepared: ReturnType<typeof placed>, over = {}) =>
  proposePlacements(prepared, settings(over))[0];

describe('placements that bring more a click', () => {
  test('are raised over those that bring less, and base bids give way so that the spend stays', () => {
    const { placements, bases, now, after, left } = only(betterAtTop([0, 0, 0], 10));
    expect(left).toBeNull();
    const [top, rest, pages] = placements.map(({ to }) => to);
    expect(top).toBeGreaterThan(rest);
    expect(rest).toBeGreaterThan(pages);
    expect(bases).toBeLessThan(1);
    expect(after.spend / now.spend).toBeCloseTo(1, 9);
    expect(after.sales).toBeGreaterThan(now.sales * 1.02);
  });

  test('move by a quarter a round at most, counted in what is bid there, and arrive in the end', () => {
    let modifiers: [number, number, number] = [0, 0, 0];
    for (let round = 0; round < 12; round += 1) {
      const { placements, bases } = only(betterAtTop(modifiers, 10));
      for (const { from, to } of placements)
        expect(Math.abs(Math.log(((1 + to) / (1 + from)) * bases))).toBeLessThan(Math.log(1.25) + 0.05);
      modifiers = placements.map(({ to }) => to) as typeof modifiers;
    }
    const { left, placements } = only(betterAtTop(modifiers, 10));
    expect(left).toBe('as wanted');
    const [top, rest, pages] = placements.map(({ from }) => 1 + from);
    const [worthTop, , worthPages] = placements.map(({ worth }) => worth.ratio);
    expect(top / rest / worthTop).toBeCloseTo(1, 1);
    expect(rest / pages / (1 / worthPages)).toBeCloseTo(1, 1);
  });

  test('are not raised while it is not sure that they do, and the reason says so', () => {
    const few = only(betterAtTop([0, 0, 0], 0.05));
    expect([few.left, few.bases, few.after]).toEqual(['not sure', 1, few.now]);
    expect(placementReason(few)).toMatch(
      /^It is not sure that one placement is the better one: top of search 0\.\d\d–/,
    );
  });

  test('are told with what carries them and what they bring', () => {
    const proposal = only(betterAtTop([0, 0, 0], 10));
    const { worth, to } = proposal.placements[TOP];
    const words = placementReason(proposal);
    expect(words).toContain(`a click at top of search is worth ${worth.ratio.toFixed(2)} of one in the rest`);
    expect(words).toContain(`top of search 0 % → ${Math.round(to * 100)} %`);
    expect(words).toMatch(/Base bids go down by \d+ %: the month’s spend stays/);
  });

  test('are not moved from modifiers that nobody told', () => {
    const known = betterAtTop([0, 0, 0], 10);
    const [{ modifiers }] = known.observations.campaigns;
    const untold = { modifiers, budget: null, modifiersKnown: false };
    const proposal = only({ ...known, observations: { ...known.observations, campaigns: [untold] } });
    expect([proposal.left, proposal.bases, proposal.after]).toEqual(['not known', 1, proposal.now]);
    expect(proposal.placements.map(({ isSettable }) => isSettable)).toEqual([false, false, false]);
    expect(placementReason(proposal)).toContain('Its modifiers were never told.');
  });

  test('stay where the market lets nothing be set, or nothing runs', () => {
    expect(only(betterAtTop(), { modifiers: [false, false, false] }).left).toBe('not offered');
    const paused = placed([{ isRunning: false }], [], [campaign()]);
    expect(only(paused).left).toBe('not running');
  });
});

test('another currency proposes the same modifiers', () => {
  const one = only(betterAtTop([0.1, 0, 0], 10));
  const yen = betterAtTop([0.1, 0, 0], 10);
  for (const key of ['spend'] as const)
    yen.observations.placements[key].forEach((v, at, list) => (list[at] = v * 160));
  expect(only(yen).placements.map(({ to }) => to)).toEqual(one.placements.map(({ to }) => to));
});

test('bids that start from modifiers in the tray want the same for a click as without them', () => {
  const prepared = betterAtTop([0, 0, 0], 10);
  const { placements, bases } = only(prepared);
  const fixed = settings({ modifiers: [false, false, false] });
  const [before] = decideBids(prepared, fixed).proposals;
  const ahead = withAhead(prepared, {
    bids: new Map([[0, 500_000 * bases]]),
    budgets: new Map(),
    schedules: new Map(),
    modifiers: new Map([[0, placements.map(({ to }) => to) as [number, number, number]]]),
  });
  const [after] = decideBids(ahead, fixed).proposals;
  expect(after.from).toBe(500_000 * bases);
  const effective = ({ wanted, raise }: typeof before) => wanted * raise;
  expect(effective(after) / effective(before)).toBeCloseTo(1, 2);
  expect(after.cpc / before.cpc).toBeCloseTo(1, 1);
});

test.each([
  ['to a value', { way: 'value', share: 0.4 }, 0.4],
  ['by a share of the bid there', { way: 'step', share: 0.2 }, 0.44],
  ['down to nothing at least', { way: 'step', share: -0.5 }, 0],
  ['so that a click costs at most', { way: 'cpc', micros: 400_000 }, 0],
  ['never up by a cap', { way: 'cpc', micros: 900_000 }, 0.2],
  ['so that its ACOS is', { way: 'acos', share: 0.25 }, 0.51],
  ['so that the bid there is', { way: 'bid', micros: 750_000 }, 0.5],
  ['to the market’s most', { way: 'value', share: 20 }, 9],
] as const)('a modifier is set by hand %s', (_, way, to) => {
  expect(modifierBy(way, { from: 0.2, bid: 500_000, cpc: 500_000, rpc: 2_400_000 })).toBe(to);
});

test('a cost per click or an ACOS cannot be set where no click tells what it costs', () => {
  for (const way of [
    { way: 'cpc', micros: 1 },
    { way: 'acos', share: 0.2 },
  ] as const)
    expect(modifierBy(way, { from: 0.2, bid: 500_000, cpc: 0, rpc: 0 })).toBeNull();
});

test('a month under modifiers that stay is the month as it is', () => {
  const { placements, now } = only(betterAtTop());
  const same = monthUnder(
    now,
    placements,
    placements.map(({ from }) => from),
    1,
  );
  for (const key of ['clicks', 'spend', 'sales'] as const) expect(same[key] / now[key]).toBeCloseTo(1, 9);
});

describe('placements of a rule', () => {
  const prepared = betterAtTop([0, 0, 0], 10);
  const within = (over: object) =>
    proposePlacements(prepared, settings(), () => ({
      missing: [null, null, null],
      cap: null,
      bid: null,
      ...over,
    }))[0];
  const free = only(prepared);

  test('that lack what is asked stay, and the reason says what', () => {
    const held = within({ missing: ['CTR of 0.1 %', 'too little', 'too little'] });
    expect(held.placements.map(({ to }) => to)).toEqual([0, 0, 0]);
    expect(held.left).toBe('held');
    expect(placementReason(held)).toContain('top of search is held: CTR of 0.1 %.');
  });

  test('go to their cap and no further; base bids give way for what is left', () => {
    const capped = within({ cap: free.placements[TOP].to / 2 });
    expect(capped.placements[TOP].to).toBeCloseTo(free.placements[TOP].to / 2, 2);
    expect(capped.after.spend / capped.now.spend).toBeCloseTo(1, 9);
    expect(capped.bases).toBeGreaterThan(free.bases);
  });

  test.each([0.9, 1, 1.05, 1.2, 2])('make no bid higher than %s times the base bid', (times) => {
    const { placements, bases, bid } = within({ bid: free.bid * times });
    for (const { to } of placements)
      if (to > 0) expect((1 + to) * bases * bid).toBeLessThanOrEqual(free.bid * times * 1.0001);
  });
});

test('what is proposed never expects to lose sales for the same money', () => {
  for (const modifiers of [
    [0, 0, 0],
    [0.5, 0, 0.3],
    [0, 0.6, 0],
    [2, 0, 0],
  ] as [number, number, number][]) {
    const { left, now, after } = only(betterAtTop(modifiers, 10));
    if (left === null) expect(after.sales).toBeGreaterThan(now.sales);
  }
});
