import { expect, test } from 'vitest';
import { wordsOf } from './wordsOf';

test('a value of the trail reads as names and values; what is empty is left out', () => {
  expect(wordsOf({ kind: 'acos', scopeId: 3, low: 0.2, note: '', ids: [], isOn: true, until: null })).toBe(
    'kind acos, scope id 3, low 0.2, is on yes',
  );
  expect(wordsOf([{ day: '2026-11-01' }, 'and 4'])).toBe('day 2026-11-01, and 4');
  expect(wordsOf(null)).toBe('');
});
