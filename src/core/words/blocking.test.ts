import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isBlocked, matchForm, negativeSet } from '../matching';
import { blockedForms, termWords } from '.';
import type { Blocker } from '.';

const words = (terms: string[]) => termWords(terms.map(matchForm), terms);
const blocked = (terms: string[], blocker: Blocker) =>
  blockedForms(words(terms), [blocker])[0].map((form) => words(terms).forms[form]);

describe('what a negative blocks', () => {
  test.each<[string, Blocker, string, boolean]>([
    ['exact: the same words', { match: 'exact', expression: 'Glass Jar' }, 'glass jars', true],
    [
      'exact: one word more is another term',
      { match: 'exact', expression: 'glass jar' },
      'tall glass jar',
      false,
    ],
    [
      'phrase: together and in order',
      { match: 'phrase', expression: 'glass jar' },
      'tall glass jar lid',
      true,
    ],
    [
      'phrase: apart is not together',
      { match: 'phrase', expression: 'glass jar' },
      'glass for jar lid',
      true,
    ],
    ['phrase: in another order', { match: 'phrase', expression: 'glass jar' }, 'jar glass', false],
    ['phrase: not inside a word', { match: 'phrase', expression: 'jar' }, 'jargon', false],
    ['accents', { match: 'exact', expression: 'crème' }, 'creme', true],
    ['hyphens', { match: 'phrase', expression: 'swing top' }, 'swing-top bottle', true],
    ['numbers and units', { match: 'phrase', expression: '500 ml' }, 'jar 500ml', true],
    ['another number', { match: 'phrase', expression: '500 ml' }, 'jar 50ml', false],
    ['double spaces', { match: 'exact', expression: 'glass  jar' }, 'glass jar', true],
    ['another script', { match: 'phrase', expression: '漬物' }, '漬物石', true],
    ['an item code by itself', { match: 'item', expression: 'QY7K3M92TD' }, 'qy7k3m92td', true],
    ['an item code in a sentence', { match: 'item', expression: 'QY7K3M92TD' }, 'like qy7k3m92td', false],
  ])('%s', (_, blocker, term, expected) => {
    // What the index says is what matching says of each pair.
    const set = negativeSet([blocker]);
    expect(isBlocked(matchForm(term), set)).toBe(expected);
    expect(blocked([term, 'something else'], blocker).length > 0).toBe(expected);
  });

  test('by the index is the same as pair by pair, for any terms and negatives', () => {
    const word = fc.constantFrom('jar', 'jars', 'glass', 'lid', '5l', 'for', 'kimchi');
    const text = fc.array(word, { minLength: 1, maxLength: 4 }).map((list) => list.join(' '));
    const blocker = fc.record({
      match: fc.constantFrom('exact', 'phrase', 'item' as const),
      expression: text,
    });
    fc.assert(
      fc.property(fc.array(text, { maxLength: 12 }), fc.array(blocker, { maxLength: 5 }), (terms, list) => {
        const all = words(terms);
        const found = blockedForms(all, list as Blocker[]);
        list.forEach((one, at) => {
          const set = negativeSet([one as Blocker]);
          const expected = all.forms.flatMap((form, id) => (form !== '' && isBlocked(form, set) ? [id] : []));
          expect(found[at]).toEqual(expected);
        });
      }),
    );
  });
});
