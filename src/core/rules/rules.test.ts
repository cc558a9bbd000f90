import { describe, expect, test } from 'vitest';
import { dayIn } from '../../contract/timeZone';
import { addDays } from '../units';
import {
  effectTrip,
  isDue,
  nextNight,
  refusalTrip,
  settleRules,
  USUAL_GUARDS,
  USUAL_RULE,
  weekTrip,
} from '.';
import type { Rule, Wanted } from '.';

const rule = (over: Partial<Rule> = {}): Rule => ({ ...USUAL_RULE, name: 'bids', work: 'bids', ...over });
const want = (subject: string, over: Partial<Wanted> = {}): Wanted => ({
  subject,
  name: subject,
  figures: { clicks: 100, impressions: 5000, orders: 3 },
  changes: 1,
  spend: 0,
  ...over,
});
const RAILS = { changes: 1000, spend: 1e12 };
const settle = (asking: { rule: Rule; wanted: Wanted[] }[], most = RAILS, use = { changes: 0, spend: 0 }) => {
  const settled = settleRules(
    asking.map((one, place) => ({ ...one, place })),
    most,
    use,
  );
  return asking.map((_, place) => ({
    goes: settled.get(place)!.goes.map(({ subject }) => subject),
    left: settled.get(place)!.left.map(({ wanted, why, rule: other }) => [wanted.subject, why, other]),
  }));
};

describe('a rule works', () => {
  // 23 November 2026 is a Monday.
  test.each([
    ['every night, once', { kind: 'nightly' }, '2026-11-22', '2026-11-23', true],
    [
      'never twice in a night, nor in one that is past',
      { kind: 'nightly' },
      '2026-11-23',
      '2026-11-23',
      false,
    ],
    ['on its weekdays', { kind: 'weekdays', days: [1, 4] }, null, '2026-11-23', true],
    ['on no others', { kind: 'weekdays', days: [1, 4] }, null, '2026-11-24', false],
    ['every so many days', { kind: 'every', days: 7 }, '2026-11-16', '2026-11-23', true],
    ['and not before', { kind: 'every', days: 7 }, '2026-11-17', '2026-11-23', false],
  ] as const)('%s', (_, rhythm, last, today, due) => {
    expect(isDue(rule({ rhythm: rhythm as Rule['rhythm'] }), last, today)).toBe(due);
  });

  test('until its last night; a night that was missed is made up by one', () => {
    expect(isDue(rule({ until: '2026-11-23' }), null, '2026-11-24')).toBe(false);
    expect(isDue(rule(), '2026-11-10', '2026-11-23')).toBe(true);
    expect(nextNight(rule({ rhythm: { kind: 'weekdays', days: [7] } }), null, '2026-11-24')).toBe(
      '2026-11-29',
    );
    expect(nextNight(rule({ until: '2026-11-23' }), null, '2026-11-24')).toBeNull();
  });
});

test('the night in which the clocks go back has two hours of one name, and is one night; the next is the day after', () => {
  // 02:30 comes twice in Berlin on 25 October 2026, at 00:30 and at 01:30 of universal time.
  const [first, second] = ['2026-10-25T00:30Z', '2026-10-25T01:30Z'].map((at) =>
    dayIn('Europe/Berlin', new Date(at)),
  );
  expect(isDue(rule(), '2026-10-24', first)).toBe(true);
  expect(isDue(rule(), first, second)).toBe(false);
  expect(nextNight(rule(), first, addDays(first, 1))).toBe('2026-10-26');
  // In spring an hour is missing, and no night is.
  expect(isDue(rule(), '2026-03-28', dayIn('Europe/Berlin', new Date('2026-03-29T01:30Z')))).toBe(true);
});

describe('two rules that want the same', () => {
  test('the nearer scope has it, wherever it stands in the list; then the order of the list; the loser is told by whom', () => {
    const wide = rule({ name: 'wide' });
    const near = rule({ name: 'near', scope: { kind: 'campaign', id: 7 } });
    const [a, b, c] = settle([
      { rule: wide, wanted: [want('target 1'), want('target 2')] },
      { rule: near, wanted: [want('target 1')] },
      { rule: rule({ name: 'last' }), wanted: [want('target 2')] },
    ]);
    expect(b).toEqual({ goes: ['target 1'], left: [] });
    expect(a).toEqual({ goes: ['target 2'], left: [['target 1', 'another rule', 'near']] });
    expect(c).toEqual({ goes: [], left: [['target 2', 'another rule', 'wide']] });
  });
});

describe('guard rails', () => {
  test('of a rule: what is wanted most goes first, the rest is left with its reason', () => {
    const own = rule({ most: { changes: 3, spend: 100 } });
    const [one] = settle([
      {
        rule: own,
        wanted: [
          want('a', { spend: 80 }),
          want('b', { spend: 30 }),
          want('c', { spend: -500 }),
          want('d', { spend: 20, changes: 2 }),
          want('e', { spend: 10 }),
        ],
      },
    ]);
    // What saves money makes no room for more: that it does is known only later.
    expect(one.goes).toEqual(['a', 'c', 'e']);
    expect(one.left).toEqual([
      ['b', 'spend', undefined],
      ['d', 'changes', undefined],
    ]);
  });

  test('of the account count all its rules together, also those of an earlier phase of the night', () => {
    const use = { changes: 4, spend: 0 };
    const [first, second] = settle(
      [
        { rule: rule(), wanted: [want('a'), want('b')] },
        { rule: rule({ work: 'negatives' }), wanted: [want('c'), want('d')] },
      ],
      { changes: 7, spend: 1e12 },
      use,
    );
    expect([first.goes, second.goes]).toEqual([['a', 'b'], ['c']]);
    expect(use.changes).toBe(7);
  });

  test('what has too little data is left alone', () => {
    const [one] = settle([
      {
        rule: rule({ least: { clicks: 50, impressions: 0, orders: 2 } }),
        wanted: [want('a'), want('b', { figures: { clicks: 49, impressions: 9999, orders: 5 } })],
      },
    ]);
    expect(one).toEqual({ goes: ['a'], left: [['b', 'too little data', undefined]] });
  });
});

describe('rules stop themselves', () => {
  const week = (spend: number, sales: number) => ({ spend: spend * 1e6, sales: sales * 1e6 });
  const usual = [week(100, 400), week(110, 420), week(90, 380), week(100, 400)];

  test('when a week spends more, or sells dearer, than usual by more than the bound; cheaper weeks are no trouble', () => {
    const stop = (last: ReturnType<typeof week>) => weekTrip([last, ...usual], USUAL_GUARDS);
    expect(stop(week(149, 600))).toBeNull();
    expect(stop(week(151, 600))).toMatch(/spent 51 % more than is usual/);
    expect(stop(week(100, 260))).toMatch(/ACOS was 38\.5 %, 54 % above the usual 25\.0 %/);
    expect(stop(week(20, 40))).toMatch(/ACOS/);
    expect(stop(week(10, 100))).toBeNull();
    expect(weekTrip([week(900, 10), ...usual.slice(0, 2)], USUAL_GUARDS)).toBeNull();
  });

  test('when too much is refused, and when what they did is surely for the worse', () => {
    expect(refusalTrip(8, 2, USUAL_GUARDS)).toBeNull();
    expect(refusalTrip(7, 3, USUAL_GUARDS)).toMatch(/3 of 10 changes were refused/);
    expect(refusalTrip(0, 4, USUAL_GUARDS)).toBeNull();
    expect(effectTrip({ change: 0.08, low: -0.02, high: 0.2 })).toBeNull();
    // An 80 % interval that is looked at every night leaves zero by chance sooner or later.
    expect(effectTrip({ change: 0.11, low: 0.03, high: 0.2 })).toBeNull();
    expect(effectTrip({ change: 0.2, low: 0.12, high: 0.28 })).toMatch(/raised the ACOS by 12 % to 28 %/);
    expect(effectTrip(null)).toBeNull();
  });
});
