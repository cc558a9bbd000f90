import { describe, expect, test } from 'vitest';
import { measure } from '../../core/measures';
import { explain } from './explain';

describe('a heading', () => {
  test('tells what the figure is made of, its unit, and what is good', () => {
    expect(explain(measure('acos'), 'EUR')).toMatch(/Spend.*sales.*In %\. Lower is better\.$/i);
    expect(explain(measure('sales'), 'GBP')).toMatch(/In GBP\. Higher is better\.$/);
  });

  test('of a move goes by the measure that moves; of what is neither good nor bad says neither', () => {
    expect(explain({ key: 'd.acos', definition: 'ACOS now less before', unit: 'share' }, 'EUR')).toBe(
      'ACOS now less before. In %. Lower is better.',
    );
    expect(explain({ key: 'age', definition: 'Days since its last change' }, 'EUR')).toBe(
      'Days since its last change.',
    );
  });
});
