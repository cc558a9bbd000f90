import { describe, expect, test } from 'vitest';
import { aReview } from '../../../../tests/make/review';
import { aNegative, anExactKeyword, aStructure, AUTO, EXACT } from '../../../../tests/make/terms';
import type { TermSpec } from '../../../../tests/make/terms';
import { aTree } from '../../../../tests/make/lenses';
import type { ReviewData } from '../../../contract/review';
import { wordsEngine } from './wordsEngine';
import type { PartsAsked } from './types';

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

async function loaded(over: Partial<ReviewData> = {}) {
  const windows: (string | undefined)[] = [];
  const engine = wordsEngine({
    review: (_, from, to) => (windows.push(from, to), Promise.resolve(aReview(TERMS, over))),
    tree: () =>
      Promise.resolve(aTree({ products: [{ ...aTree().products[0], id: 7, name: 'Glass weights' }] })),
  });
  const words = await engine.load(1, '2026-11-22');
  return { ...engine, words, id: words.loadId, windows };
}

describe('the words of an account', () => {
  test('are those of 90 days, and of the products whose ad groups have terms', async () => {
    const { words, windows } = await loaded();
    expect(windows).toEqual(['2026-08-25', '2026-11-22']);
    expect(words).toMatchObject({ terms: 4, products: [{ id: 7, name: 'Glass weights' }] });
  });

  test('answer nothing for a load that is gone', async () => {
    const { load, parts, preview, blocks, core, standing, part, id } = await loaded();
    // Two are kept.
    await load(1, '2026-11-22');
    expect(parts(id, asked)).not.toBeNull();
    await load(1, '2026-11-21');
    await load(1, '2026-11-20');
    expect([
      parts(id, asked),
      part(id, 'pot', null),
      preview(id, { expression: 'pot', match: 'phrase' }),
      blocks(id, []),
      core(id, 7, []),
      standing(id),
    ]).toEqual(Array(6).fill(null));
  });
});

describe('word parts on the page', () => {
  test('are narrowed by length, text and clicks, and ordered by what is asked', async () => {
    const { parts, id } = await loaded();
    const texts = (over: Partial<PartsAsked>) =>
      parts(id, { ...asked, ...over })!.parts.map(({ text }) => text);
    expect(texts({})[0]).toBe('flower pot');
    expect(texts({ length: 1 }).every((text) => !text.includes(' '))).toBe(true);
    expect(texts({ text: 'RED' })).toEqual(['red flower pot']);
    expect(texts({ sort: 'sales' })[0]).toBe('fermentation weights');
    expect(texts({ minClicks: 150 })).toEqual(['flower pot', 'fermentation weights']);
    expect(texts({ productId: 99 })).toEqual([]);
  });

  test('leave out what is blocked where it ran, in the sums too', async () => {
    const structure = aStructure({ negatives: [aNegative('flower pot')] });
    const { parts, part, id } = await loaded({ structure });
    // The exact negative of the automatic ad group stops 90 clicks; 65 of three other rows are left.
    const found = parts(id, asked)!.parts.find(({ text }) => text === 'flower pot')!;
    expect(found.sums.clicks).toBe(65);
    expect(part(id, 'flower pot', null)!.sums.clicks).toBe(65);
  });

  test('tell where they ran, what sold, and which live target a block would stop', async () => {
    const targets = [...aStructure().targets, anExactKeyword('flower pot', { id: 150, adGroupId: EXACT })];
    const { part, id } = await loaded({ structure: aStructure({ targets }) });
    const detail = part(id, 'flower pots', null)!;
    expect(detail).toMatchObject({ sold: 2, sums: { clicks: 155, orders: 3 }, isKeyword: false });
    expect(detail.places.map(({ campaign, targets: kept }) => [campaign, kept])).toEqual([
      ['Glass weights', []],
      ['Glass weights exact', ['flower pot']],
    ]);
    expect(detail.terms.map(({ term }) => term)).toEqual(['flower pot', 'red flower pot', 'old flower pot']);
  });

  test('say where they are blocked, and bid on, already', async () => {
    const structure = aStructure({
      negatives: [aNegative('Flower Pot', { match: 'phrase', adGroupId: null, campaignId: 2 })],
      targets: [
        ...aStructure().targets,
        anExactKeyword('flower pots', { id: 150, match: 'phrase', adGroupId: AUTO }),
      ],
    });
    const { part, id } = await loaded({ structure });
    const detail = part(id, 'flower pot', null)!;
    expect(detail.isKeyword).toBe(true);
    // In the exact campaign nothing of it is left: it is blocked there.
    expect(detail.places.map(({ campaign }) => campaign)).toEqual(['Glass weights']);
  });
});

describe('what negatives block', () => {
  const placed = { campaignId: 1, adGroupId: AUTO, match: 'phrase' as const, expression: 'flower pot' };

  test('is told with orders, a few of the terms, and targets by their words', async () => {
    const { blocks, id } = await loaded();
    const [here, there] = blocks(id, [placed, { ...placed, adGroupId: EXACT, campaignId: 2 }])!;
    expect(here).toMatchObject({ sold: 1, sums: { clicks: 145, orders: 1 }, targets: [] });
    expect(here.terms[0]).toBe('red flower pot');
    expect(there).toMatchObject({ sold: 1, sums: { clicks: 10, orders: 2 } });
  });

  test('of those that stand is told with its place', async () => {
    const { standing, id } = await loaded({
      structure: aStructure({ negatives: [aNegative('flower pot')] }),
    });
    expect(standing(id)).toMatchObject([
      {
        kind: 'blocks-sold',
        place: 'Glass weights › auto',
        elsewhere: { orders: 2 },
        examples: ['flower pot'],
      },
    ]);
  });
});

describe('a keyword that is tried', () => {
  test('shows what it would catch, summed, and the reason of what it would not', async () => {
    const { preview, id } = await loaded();
    const answer = preview(id, { expression: 'flower pot', match: 'exact' })!;
    expect(answer).toMatchObject({ caughtCount: 1, missedCount: 2, sums: { clicks: 100, orders: 2 } });
    expect(answer.caught[0]).toMatchObject({ term: 'flower pot', place: 'Glass weights › auto and 1 more' });
    expect(answer.missed[0].why).toBe('has more words than exact match takes');
    expect(preview(id, { expression: ' … ', match: 'broad' })).toMatchObject({
      caughtCount: 0,
      missedCount: 0,
    });
  });
});

test('the core list names the places that its terms leak to', async () => {
  const targets = [...aStructure().targets, anExactKeyword('flower pot', { id: 150, adGroupId: EXACT })];
  const { core, id } = await loaded({ structure: aStructure({ targets }) });
  const list = core(id, 7, ['Flower Pots'])!;
  expect(list[0]).toMatchObject({
    term: 'flower pot',
    isPinned: true,
    home: { id: 150 },
    atHome: 0.1,
    places: ['Glass weights › auto'],
  });
  expect(list[1]).toMatchObject({ term: 'fermentation weights', atHome: 1, leaks: [] });
});
