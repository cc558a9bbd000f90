import { expect, test } from 'vitest';
import { PLAIN_WEEK, weekWords } from '../../../core/schedules';
import { copiedDay, editOf, moved, paint, pastedDay, takenBack } from './weekEdit';

test('hours are chosen from corner to corner, painted, and had back', () => {
  const chosen = moved(moved(editOf(), 5, 18, false), 1, 5, true);
  const lower = paint(chosen, () => -20);
  expect(weekWords(lower.week)).toBe('Sat–Sun 18–24 h −20 %');
  expect(weekWords(paint(lower, (percent) => percent - 5).week)).toBe('Sat–Sun 18–24 h −25 %');
  expect(takenBack(lower).week).toEqual(PLAIN_WEEK);
  expect(takenBack(editOf())).toEqual(editOf());
});

test('no hour goes below off, and the cursor stays in the week', () => {
  expect(paint(editOf(), (percent) => percent - 150).week[0]).toBe(-100);
  expect(paint(editOf(), () => 5000).week[0]).toBe(900);
  expect(moved(editOf(), -1, -1, false).head).toBe(0);
  expect(moved(editOf(), 99, 99, false).head).toBe(167);
});

test('a day is copied onto all that are chosen', () => {
  const monday = paint(moved(editOf(), 0, 5, true), () => -100);
  const weekend = moved(moved(copiedDay(monday), 5, 0, false), 1, 0, true);
  expect(weekWords(pastedDay(weekend).week)).toBe('Mon, Sat–Sun 0–6 h off');
});
