import { expect, test } from 'vitest';
import { isWeek, PLAIN_WEEK, readWeek, weekText, weekWords } from '.';

/** A week with one percentage on some weekdays between two hours. */
const week = (days: number[], from: number, to: number, percent: number, rest = PLAIN_WEEK) =>
  rest.map((one, cell) =>
    days.includes(Math.floor(cell / 24)) && cell % 24 >= from && cell % 24 < to ? percent : one,
  );

test('a week goes into its text and comes back the same', () => {
  for (const one of [PLAIN_WEEK, week([5, 6], 0, 24, -20), week([0, 2], 7, 9, 900, week([3], 0, 24, -100))])
    expect(readWeek(weekText(one))).toEqual(one);
  expect(weekText(week([5, 6], 0, 24, -20))).toBe('0*120 -20*48');
});

test.each([
  ['a day too few', '0*144'],
  ['an hour too many', '0*169'],
  ['less than off', '-101*168'],
  ['another text of the same week', '0*100 0*68'],
  ['half a percent', '0.5*168'],
  ['nothing', ''],
])('%s is no week', (_, text) => {
  expect(readWeek(text)).toBe(null);
  expect(isWeek([...PLAIN_WEEK.slice(1), 0.5])).toBe(false);
});

test('is told in words that say which days, hours and by how much', () => {
  expect(weekWords(PLAIN_WEEK)).toBe('no hour changed');
  expect(weekWords(week([5, 6], 0, 24, -20))).toBe('Sat–Sun 0–24 h −20 %');
  expect(weekWords(week([0, 2], 7, 9, 15, week([6], 0, 24, -100)))).toBe(
    'Mon, Wed 7–9 h +15 %, Sun 0–24 h off',
  );
  const many = PLAIN_WEEK.map((_, cell) => (cell % 24) - 10);
  expect(weekWords(many)).toBe('23 stretches from −10 % to +13 %');
});
