import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  foldPlural,
  holdsPhrase,
  isBlocked,
  isItemCode,
  keywordIndex,
  matchForm,
  matchWords,
  negativeSet,
  normaliseTerm,
  kindReader,
  newTerms,
} from '.';
import type { KeywordMatch } from '.';

describe('two spellings of a search term are one', () => {
  test.each([
    ['case and spaces', 'GLASS   weights', 'glass weights'],
    ['accents and punctuation', 'Crème-Fraîche  Jar!', 'creme fraiche jar'],
    ['ligatures and full-width forms', 'ﬁne ｓａｌｔ', 'fine salt'],
    ['letters that have no accent to take off', 'Gärgefäß Øl', 'gargefass ol'],
    ['an apostrophe inside a word', "brewer's jar", 'brewers jar'],
    ['a decimal comma', '0,5 l jar', '0 5 l jar'],
    ['Greek accents', 'Άλμη', 'αλμη'],
    ['nothing but signs', '… ! –', ''],
  ])('%s', (_, text, normal) => expect(normaliseTerm(text)).toBe(normal));

  test('marks that make another word stay: Japanese, Hindi, Thai, Russian', () => {
    for (const text of ['漬物石', 'ガラス瓶', 'अचार', 'น้ำปลา', 'йогурт'])
      expect(normaliseTerm(text)).toBe(text.normalize('NFKC'));
    expect(normaliseTerm('ガ')).not.toBe(normaliseTerm('カ'));
  });

  test('what is normalised stays as it is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const once = normaliseTerm(text);
        expect(normaliseTerm(once)).toBe(once);
      }),
    );
  });
});

describe('exact match passes over plural and filler words', () => {
  test.each([
    ['jar weights', 'Jar Weight'],
    ['lid for jars', 'lids jar'],
    ['the glass dishes', 'glass dish'],
    ['pickling boxes', 'pickling box'],
    ['ginger cookies', 'ginger cookie'],
    ['berries', 'berry'],
    ['tomatoes', 'tomato'],
    ['500ml bottle', '500 ml bottles'],
    ['gewichte für gläser', 'gewichte glaser'],
  ])('"%s" is "%s"', (a, b) => expect(matchForm(a)).toBe(matchForm(b)));

  test.each([
    ['jar weights', 'weights jar'],
    ['glass', 'glas'],
    ['bus', 'bu'],
    ['press', 'pres'],
    ['5 litre crock', '10 litre crock'],
    ['salt', 'salt brine'],
  ])('"%s" is not "%s"', (a, b) => expect(matchForm(a)).not.toBe(matchForm(b)));

  test('a term of filler words only keeps them', () => expect(matchForm('The')).toBe('the'));

  test('short words and words with figures are left alone', () => {
    for (const word of ['gas', 'bus', 'ph7s', '漬物']) expect(foldPlural(word)).toBe(word);
  });

  test('the form of a form is the same, for whatever shoppers type', () => {
    const word = fc.stringMatching(/^[a-z]{1,9}$/);
    fc.assert(
      fc.property(fc.array(word, { minLength: 1, maxLength: 5 }), (words) => {
        const form = matchForm(words.join(' '));
        expect(matchForm(form.toUpperCase()).split(' ').length).toBe(form.split(' ').length);
      }),
    );
  });
});

describe('a keyword catches', () => {
  const keywords: { match: KeywordMatch; expression: string }[] = [
    { match: 'exact', expression: 'Glass Weights' },
    { match: 'phrase', expression: 'jar weights' },
    { match: 'broad', expression: 'crock lid' },
    { match: 'phrase', expression: '漬物' },
  ];
  const index = keywordIndex(keywords, new Map([['pot', 'crock']]));
  const caught = (term: string) =>
    index.caughtBy(matchWords(term)).map(({ match, expression }) => `${match} ${expression}`);

  test.each<[string, string, string[]]>([
    ['exact: the same words', 'glass weight', ['exact Glass Weights']],
    ['exact: no word more', 'glass weights set', []],
    ['exact: no other order', 'weights glass', []],
    ['phrase: words around it', 'heavy jar weights large', ['phrase jar weights']],
    ['phrase: plural and filler words', 'weights for a jar weight', ['phrase jar weights']],
    ['phrase: nothing between', 'jar glass weights', []],
    ['phrase: not the other way round', 'weights jar', []],
    ['broad: any order, words between', 'lid in oak for 5 l crock', ['broad crock lid']],
    ['broad: close synonyms', 'pot lids', ['broad crock lid']],
    ['broad: every word', 'crock', []],
    ['phrase: inside a script without spaces', '石の漬物器', ['phrase 漬物']],
    ['phrase: not across its characters', '漬け物', []],
  ])('%s', (_, term, expected) => expect(caught(term)).toEqual(expected));

  test('no term when it holds no word', () => {
    expect(keywordIndex([{ match: 'broad' as const, expression: '!!' }]).caughtBy(matchWords('jar'))).toEqual(
      [],
    );
  });

  test('the same as asking every keyword one by one', () => {
    const word = fc.constantFrom('jar', 'lid', 'salt', 'crock', 'glass');
    const text = fc.array(word, { minLength: 1, maxLength: 4 }).map((words) => words.join(' '));
    const keyword = fc.record({
      match: fc.constantFrom<KeywordMatch>('exact', 'phrase', 'broad'),
      expression: text,
    });
    fc.assert(
      fc.property(fc.array(keyword, { maxLength: 12 }), text, (list, term) => {
        const one = list.filter((each) => keywordIndex([each]).caughtBy(matchWords(term)).length > 0);
        expect(new Set(keywordIndex(list).caughtBy(matchWords(term)))).toEqual(new Set(one));
      }),
    );
  });
});

describe('item codes', () => {
  test.each(['QY7K3M92TD', 'q0bc12d3f4'])('%s is one', (text) => expect(isItemCode(text)).toBe(true));
  test.each(['sauerkraut', '0123456789', 'ph strips 1', '500ml', 'fermenting', 'QY7K3M92TDX'])(
    '%s is words',
    (text) => expect(isItemCode(text)).toBe(false),
  );
});

describe('negatives', () => {
  const set = negativeSet([
    { match: 'exact', expression: 'Jar Lids' },
    { match: 'phrase', expression: 'used' },
    { match: 'phrase', expression: 'how to' },
    { match: 'item', expression: 'QY7K3M92TD' },
    { match: 'phrase', expression: '!!!' },
  ]);

  test.each([
    ['exact: the term', 'jar lids', true],
    ['exact: its singular', 'jar lid', true],
    ['exact: not with a word more', 'jar lids wide', false],
    ['phrase: anywhere in it', 'buy used crock', true],
    ['phrase: whole words only', 'unused crock', false],
    ['an item by its code, however it is spelt', 'qy7k3m92td', true],
    ['nothing else', 'crock', false],
  ])('%s', (_, term, blocked) => expect(isBlocked(matchForm(term), set)).toBe(blocked));

  test('a phrase of two words blocks them in that order only', () => {
    expect(holdsPhrase('glass jar weight', 'jar weight')).toBe(true);
    expect(holdsPhrase('weight jar', 'jar weight')).toBe(false);
  });
});

describe('the sort of a term', () => {
  const kindOf = kindReader({
    own: ['Tarnbrook', 'ferment box'],
    rival: ['Brine & Co', 'ferment', 'grün'],
    unwanted: ['second hand'],
  });

  test.each([
    ['tarnbrook jar', 'own brand', 'Tarnbrook'],
    ['ferment boxes large', 'own brand', 'ferment box'],
    ['box ferment', 'rival brand', 'ferment'],
    ['brine and co salt', 'rival brand', 'Brine & Co'],
    ['brine salt', 'words', null],
    ['brine & co salt', 'rival brand', 'Brine & Co'],
    ['Grun jar', 'rival brand', 'grün'],
    ['second hand tarnbrook jar', 'never wanted', 'second hand'],
    ['fermentation', 'words', null],
    ['qy7k3m92td', 'item code', null],
    ['jar like qy7k3m92td', 'words', null],
  ])('“%s”: %s', (text, name, word) => expect(kindOf(text)).toEqual({ name, word }));

  test('a term is new when it was first seen in the window of an account that has older ones', () => {
    expect(newTerms([20_100, 20_000], 20_050)(20_100)).toBe(true);
    expect(newTerms([20_100, 20_000], 20_050)(20_000)).toBe(false);
    // All the account has lies in the window: then nothing is new.
    expect(newTerms([20_100, 20_090], 20_050)(20_100)).toBe(false);
    expect(newTerms([20_100, 0], 20_050)(0)).toBe(false);
  });
});
