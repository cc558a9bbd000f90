import { expect, test } from 'vitest';
import type { HoursAnswer } from '../../../contract/hours';
import { hoursOut } from './hoursOut';
import { HOUR_MEASURES } from './measures';

const each = (of: (cell: number) => number) => Array.from({ length: 168 }, (_, cell) => of(cell));
/** Ten clicks and one order of 20 an hour over four weeks; on Sunday nothing sells. */
const answer: HoursAnswer = {
  window: { from: '2026-10-05', to: '2026-11-01' },
  timeZone: 'Europe/Berlin',
  times: each(() => 4),
  impressions: each(() => 4000),
  clicks: each(() => 40),
  spend: each(() => 16_000_000),
  orders: each((cell) => (cell >= 144 ? 0 : 4)),
  sales: each((cell) => (cell >= 144 ? 0 : 80_000_000)),
  factor: each((cell) => (cell >= 144 ? 0.5 : 1.02)),
  sd: each(() => 0.1),
  weekday: [1, 1, 1, 1, 1, 1, 0.5],
  weekdaySd: new Array<number>(7).fill(0.1),
  hour: new Array<number>(24).fill(1),
  hourSd: new Array<number>(24).fill(0.1),
  totals: null,
  worth: { orders: 576, gain: 0.02, least: 0.015, isWorthIt: true },
  isOwn: true,
};
const picture = (name: string) => HOUR_MEASURES.find((one) => one.name === name)!.picture(answer);

test('an hour shows what it comes to on average, a weekday and an hour of the day the same over their hours', () => {
  expect([picture('clicks').cells[0].text, picture('clicks').weekdays[6].text]).toEqual(['10.0', '10.0']);
  expect(picture('spend').hours[3].text).toBe('4.00');
  // Ratios come from sums: six of seven days sell at 20 %.
  expect(picture('acos').hours[3].text).toBe('23');
});

test('an hour in which nothing sold has no ACOS, rather than none of it', () => {
  const { cells, weekdays } = picture('acos');
  expect([cells[144].value, cells[144].text, weekdays[6].value]).toEqual([null, '–', null]);
});

test('only what surely sells better or worse than usual has a colour', () => {
  const { cells, weekdays } = picture('sells');
  expect([cells[0].isSure, cells[0].text]).toEqual([false, '+2']);
  expect([cells[144].isSure, cells[144].text]).toEqual([true, '−50']);
  expect(weekdays[6].high).toBeLessThan(1);
});

test('leaves the page with sums and units, an hour a row', () => {
  const { headings, rows } = hoursOut(answer, 'EUR', ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']);
  expect(headings[5]).toBe('Spend EUR');
  expect(rows).toHaveLength(168);
  expect(rows[25].slice(0, 6)).toEqual(['Tue', 1, 4, 4000, 40, 16]);
});
