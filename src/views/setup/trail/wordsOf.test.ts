import { expect, test } from 'vitest';
import { wordsOf } from './wordsOf';

test('a value of the trail reads as names and values; what is empty is left out', () => {
  expect(
    wordsOf({
      kind: 'acos',
      scopeId: 3,
      low: 0.2,
      note: '',
      ids: [],
      bid: { low: null },
      isOn: true,
      until: null,
    }),
  ).toBe('kind acos, scope id 3, low 20.0 %, is on yes');
  expect(wordsOf([{ day: '2026-11-01' }, 'and 4'])).toBe('day 2026-11-01, and 4');
  expect(wordsOf(null)).toBe('');
});

test('money and shares read as money and shares, counts as counts', () => {
  expect(wordsOf({ goods: 3_450_000, refundRate: 0.035 })).toBe('goods 3.45, refund rate 3.5 %');
  expect(wordsOf({ bid: { low: 200_000, high: 1_500_000 }, most: { spend: 500_000_000, changes: 40 } })).toBe(
    'bid low 0.20, high 1.50, most spend 500.00, changes 40',
  );
  expect(
    wordsOf({ newTerms: { most: 20 }, placements: { most: { cpc: 900_000, acos: 0.3 }, cap: 1.5 } }),
  ).toBe('new terms most 20, placements most cpc 0.90, acos 30.0 %, cap 1.5');
  expect(wordsOf({ most: 50_000_000, step: { up: 0.25 } })).toBe('most 50.00, step up 25.0 %');
});
