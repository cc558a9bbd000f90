import { describe, expect, test } from 'vitest';
import { matchForm } from '../matching';
import type { KeywordMatch } from '../matching';
import { previewKeyword, termWords } from '.';

const words = (terms: string[]) => termWords(terms.map(matchForm), terms);

describe('the matching preview', () => {
  const terms = words([
    'glass jar',
    'tall glass jar',
    'jar of glass',
    'glass lid',
    'jar tall glass',
    'crock',
  ]);
  const names = (list: number[]) => list.map((form) => terms.forms[form]);

  test.each<[KeywordMatch, string[]]>([
    ['exact', ['glass jar']],
    ['phrase', ['glass jar', 'tall glass jar']],
    ['broad', ['glass jar', 'tall glass jar', 'jar glass', 'jar tall glass']],
  ])('tells what a keyword would catch: %s', (match, caught) => {
    expect(names(previewKeyword(terms, 'Glass Jars', match).caught)).toEqual(caught);
  });

  test('tells why not', () => {
    const why = (match: KeywordMatch) =>
      Object.fromEntries(
        previewKeyword(terms, 'glass jar', match).missed.map(({ form, why }) => [terms.forms[form], why]),
      );
    expect(why('broad')).toEqual({ 'glass lid': 'lacks “jar”' });
    expect(why('phrase')['jar tall glass']).toBe('has the words apart, or in another order');
    expect(why('exact')).toMatchObject({
      'tall glass jar': 'has more words than exact match takes',
      'jar glass': 'has its words in another order',
    });
  });
});
