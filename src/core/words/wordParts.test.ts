import { describe, expect, test } from 'vitest';
import { aContext } from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { termWords, wordParts } from '.';

describe('word parts', () => {
  const parts = (terms: TermSpec[], minClicks = 1) => {
    const { table, forms, normalised } = aContext(terms);
    return wordParts(termWords(forms, normalised), table, () => true, { targetAcos: 0.2, minClicks });
  };
  const terms: TermSpec[] = [
    { term: 'used glass jar', clicks: 30, spend: 15 },
    { term: 'used jars', clicks: 20, spend: 10 },
    { term: 'glass jar jar', clicks: 10, spend: 5, orders: 3, sales: 90 },
  ];

  test('sum every term that holds them, once, whatever its spelling', () => {
    const jar = parts(terms).find(({ text }) => text === 'jar')!;
    expect(jar).toMatchObject({ terms: 3, sums: { clicks: 60, spend: 30_000_000, orders: 3 } });
    expect(parts(terms).find(({ text }) => text === 'used')).toMatchObject({
      terms: 2,
      sums: { clicks: 50 },
    });
    expect(parts(terms).find(({ text }) => text === 'glass jar')).toMatchObject({ length: 2, terms: 2 });
  });

  test('stand by the spend that the target does not allow, worst first, with the chance to reach it', () => {
    const [worst] = parts(terms);
    expect(worst).toMatchObject({ text: 'used', excess: 25_000_000 });
    expect(worst.chance).toBeLessThan(0.05);
    expect(parts(terms).find(({ text }) => text === 'glass jar jar')!.excess).toBe(
      5_000_000 - 0.2 * 90_000_000,
    );
  });

  test('that the very same terms hold are told once, the longest', () => {
    const texts = parts([
      { term: 'flower pot red', clicks: 20 },
      { term: 'flower pot blue', clicks: 20 },
    ]).map(({ text }) => text);
    expect(texts).toContain('flower pot');
    expect(texts).not.toContain('flower');
  });

  test('have three words at most, and enough clicks', () => {
    expect(Math.max(...parts(terms).map(({ length }) => length))).toBe(3);
    expect(parts(terms, 55).map(({ text }) => text)).not.toContain('used');
  });
});
