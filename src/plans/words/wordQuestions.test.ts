import { describe, expect, test } from 'vitest';
import { aReview } from '../../../tests/make/review';
import { aNegative, anExactKeyword, aStructure, AUTO, EXACT } from '../../../tests/make/terms';
import type { TermSpec } from '../../../tests/make/terms';
import { aTree } from '../../../tests/make/lenses';
import type { ReviewData } from '../../contract/review';
import type { PartsAsked, WordQuestion, WordsAskedWith } from '../../contract/wordQuestions';
import { keptWords } from './keptWords';
import { answerWords } from './wordQuestions';

const TERMS: TermSpec[] = [
  { term: 'fermentation weights', adGroupId: EXACT, clicks: 300, orders: 40, spend: 90, sales: 800 },
  { term: 'flower pot', clicks: 90, spend: 40 },
  { term: 'red flower pot', clicks: 30, orders: 1, spend: 15, sales: 20 },
  { term: 'flower pot', adGroupId: EXACT, clicks: 10, orders: 2, spend: 4, sales: 40 },
  { term: 'old flower pot', clicks: 25, spend: 9 },
];
const asked: PartsAsked = {
  productId: null,
  length: null,
  text: '',
  minClicks: 5,
  targetAcos: 0.24,
  sort: 'excess',
};

function words(over: Partial<ReviewData> = {}) {
  const tree = aTree({ products: [{ ...aTree().products[0], id: 7, name: 'Glass weights' }] });
  const kept = keptWords({ review: aReview(TERMS, over), tree });
  return <Q extends WordQuestion>(question: Q, with_: WordsAskedWith[Q]) =>
    answerWords(kept, question, with_);
}

test('the words of an account are its terms, and of the products whose ad groups have terms', () => {
  const { window } = aReview(TERMS);
  expect(words()('summary', {})).toEqual({
    window: { from: window.from, to: window.to },
    terms: 4,
    products: [{ id: 7, name: 'Glass weights', line: expect.any(String) as string }],
    isCut: false,
  });
});

describe('word parts on the page', () => {
  test('are narrowed by length, text and clicks, and ordered by what is asked', () => {
    const ask = words();
    const texts = (over: Partial<PartsAsked>) =>
      ask('parts', { ...asked, ...over }).parts.map(({ text }) => text);
    expect(texts({})[0]).toBe('flower pot');
    expect(texts({ length: 1 }).every((text) => !text.includes(' '))).toBe(true);
    expect(texts({ text: 'RED' })).toEqual(['red flower pot']);
    expect(texts({ sort: 'sales' })[0]).toBe('fermentation weights');
    expect(texts({ minClicks: 150 })).toEqual(['flower pot', 'fermentation weights']);
    expect(texts({ productId: 99 })).toEqual([]);
  });

  test('leave out what is blocked where it ran, in the sums too', () => {
    const structure = aStructure({ negatives: [aNegative('flower pot')] });
    const ask = words({ structure });
    // The exact negative of the automatic ad group stops 90 clicks; 65 of three other rows are left.
    const found = ask('parts', asked).parts.find(({ text }) => text === 'flower pot')!;
    expect(found.sums.clicks).toBe(65);
    expect(ask('part', { text: 'flower pot', productId: null }).sums.clicks).toBe(65);
  });

  test('tell where they ran, what sold, and which live target a block would stop', () => {
    const targets = [...aStructure().targets, anExactKeyword('flower pot', { id: 150, adGroupId: EXACT })];
    const ask = words({ structure: aStructure({ targets }) });
    const detail = ask('part', { text: 'flower pots', productId: null });
    expect(detail).toMatchObject({ count: 3, sold: 2, sums: { clicks: 155, orders: 3 }, isKeyword: false });
    expect(detail.places.map(({ campaign, targets: kept }) => [campaign, kept])).toEqual([
      ['Glass weights', []],
      ['Glass weights exact', ['flower pot']],
    ]);
    expect(detail.terms.map(({ term }) => term)).toEqual(['flower pot', 'red flower pot', 'old flower pot']);
  });

  test('say where they are blocked, and bid on, already', () => {
    const structure = aStructure({
      negatives: [aNegative('Flower Pot', { match: 'phrase', adGroupId: null, campaignId: 2 })],
      targets: [
        ...aStructure().targets,
        anExactKeyword('flower pots', { id: 150, match: 'phrase', adGroupId: AUTO }),
      ],
    });
    const ask = words({ structure });
    const detail = ask('part', { text: 'flower pot', productId: null });
    expect(detail.isKeyword).toBe(true);
    // In the exact campaign nothing of it is left: it is blocked there.
    expect(detail.places.map(({ campaign }) => campaign)).toEqual(['Glass weights']);
  });
});

describe('what negatives block', () => {
  const placed = { campaignId: 1, adGroupId: AUTO, match: 'phrase' as const, expression: 'flower pot' };

  test('is told with orders, a few of the terms, and targets by their words', () => {
    const ask = words();
    const [here, there] = ask('blocks', {
      negatives: [placed, { ...placed, adGroupId: EXACT, campaignId: 2 }],
    }).blocks;
    expect(here).toMatchObject({ sold: 1, sums: { clicks: 145, orders: 1 }, targets: [] });
    expect(here.terms[0]).toBe('red flower pot');
    expect(there).toMatchObject({ sold: 1, sums: { clicks: 10, orders: 2 } });
  });

  test('of those that stand is told with its place', () => {
    const ask = words({
      structure: aStructure({ negatives: [aNegative('flower pot')] }),
    });
    expect(ask('standing', {}).findings).toMatchObject([
      {
        kind: 'blocks-sold',
        place: 'Glass weights › auto',
        elsewhere: { orders: 2 },
        examples: ['flower pot'],
      },
    ]);
  });
});

test('spellings of a term in one place are one line, and no further place', () => {
  const spelt = [
    { term: 'red mug', clicks: 9 },
    { term: 'Red mugs', clicks: 30 },
  ];
  const kept = keptWords({ review: aReview(spelt), tree: aTree() });
  const { terms } = answerWords(kept, 'part', { text: 'mug', productId: null });
  expect(terms).toMatchObject([{ term: 'Red mugs', place: 'Glass weights › auto', sums: { clicks: 39 } }]);
});

describe('a keyword that is tried', () => {
  test('shows what it would catch, summed, and the reason of what it would not', () => {
    const ask = words();
    const answer = ask('preview', { expression: 'flower pot', match: 'exact' });
    expect(answer).toMatchObject({ caughtCount: 1, missedCount: 2, sums: { clicks: 100, orders: 2 } });
    expect(answer.caught[0]).toMatchObject({ term: 'flower pot', place: 'Glass weights › auto and 1 more' });
    expect(answer.missed[0].why).toBe('has more words than exact match takes');
    expect(ask('preview', { expression: ' … ', match: 'broad' })).toMatchObject({
      caughtCount: 0,
      missedCount: 0,
    });
  });
});

test('the core list names the places that its terms leak to', () => {
  const targets = [...aStructure().targets, anExactKeyword('flower pot', { id: 150, adGroupId: EXACT })];
  const ask = words({ structure: aStructure({ targets }) });
  const list = ask('core', { productId: 7, pinned: ['Flower Pots'] }).terms;
  expect(list[0]).toMatchObject({
    term: 'flower pot',
    isPinned: true,
    home: { id: 150 },
    atHome: 0.1,
    places: ['Glass weights › auto'],
  });
  expect(list[1]).toMatchObject({ term: 'fermentation weights', atHome: 1, leaks: [] });
});
