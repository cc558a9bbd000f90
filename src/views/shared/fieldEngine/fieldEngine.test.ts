import { describe, expect, test } from 'vitest';
import { aBidFeed } from '../../../../tests/make/bids';
import { aFieldAnswer } from '../../../../tests/make/field';
import { aTree } from '../../../../tests/make/lenses';
import { readAnyOf } from '../../../core/conditions';
import { indexTree } from '../../../core/structure';
import { answerBids } from '../../../plans/bidAnswers';
import { keptBids } from '../../../plans/bids';
import { fieldEngine } from './fieldEngine';

const TARGETS = aFieldAnswer([
  { targetId: 1001, impressions: 900, clicks: 100, spend: 40e6, orders: 4, sales: 240e6, spendBefore: 10e6 },
  { targetId: 1002, impressions: 500, clicks: 50, spend: 30e6 },
  { targetId: 1003, impressions: 200, clicks: 40, spend: 20e6, orders: 8, sales: 480e6, spendBefore: 25e6 },
]);
const TERMS = aFieldAnswer(
  [
    { targetId: 1001, termId: 1, impressions: 9, clicks: 6, spend: 3e6 },
    { targetId: 1003, termId: 2, impressions: 9, clicks: 9, spend: 4e6, orders: 1, sales: 60e6 },
    { targetId: 1002, termId: 3, impressions: 9, clicks: 1, spend: 1e6 },
  ],
  ['stoneware crocks', 'Stoneware Crock', 'lid'],
);

const bids = keptBids(indexTree(aTree()), aBidFeed());
const engine = () => {
  const asked: string[] = [];
  return {
    asked,
    ...fieldEngine({
      tree: (_, targets) => (asked.push(targets === 'none' ? 'outline' : 'tree'), Promise.resolve(aTree())),
      fieldSums: (_, grain) => (asked.push(grain), Promise.resolve(grain === 'term' ? TERMS : TARGETS)),
      bidPlan: async (_, settings) => bids.columns(settings),
      askBids: async (_, question, with_) => (asked.push(question), answerBids(bids, question, with_)),
    }),
  };
};
const everything = {
  scope: null,
  stack: [],
  sorts: [{ by: 'spend' as const, descending: true }],
  judge: null,
};

describe('the engine behind the field', () => {
  test('answers with the rows that meet the conditions, in order, and what they come to', async () => {
    const { load, arrange } = engine();
    const { loadId, table } = await load(1, { revision: 1, targetAcos: 0.24 }, 'auto');
    const all = (await arrange(loadId, everything))!;
    expect([...all.rows].map((row) => table.name[row])).toEqual([
      'near searches',
      'rival items',
      'near searches',
    ]);
    const few = (await arrange(loadId, {
      ...everything,
      stack: [readAnyOf('orders<=0|kind=item')!, readAnyOf('clicks>=1')!],
    }))!;
    expect([...few.rows].map((row) => table.name[row])).toEqual(['rival items']);
    expect(few).toMatchObject({ inScope: 3, now: { clicks: 50, spend: 30e6 } });
    expect(few.set).not.toBe(all.set);
  });

  test('tells the way into a scope, and only what lies in it', async () => {
    const { load, arrange } = engine();
    const { loadId } = await load(1, { revision: 1, targetAcos: 0.24 }, 'campaigns');
    const inside = (await arrange(loadId, { ...everything, scope: { kind: 'product', id: 101 } }))!;
    expect(inside.rows).toHaveLength(2);
    expect(inside.path.map(({ name }) => name)).toEqual(['Fermenting', 'Stoneware crock']);
  });

  test('answers for each load by its own rows, and nothing for one that is not there', async () => {
    const { load, arrange, cross } = engine();
    const first = await load(1, { revision: 1, targetAcos: 0.24 }, 'auto');
    const second = await load(1, { revision: 1, targetAcos: 0.24 }, 'keywords');
    const sizes = await Promise.all(
      [first, second].map(async ({ loadId }) => (await arrange(loadId, everything))!.rows.length),
    );
    expect(sizes).toEqual([first.table.size, second.table.size]);
    expect(await arrange(4711, everything)).toBeNull();
    const anyWindow = { account: 1, window: { from: '2026-10-01', to: '2026-10-30' } };
    expect(await cross(4711, Int32Array.of(0), ['campaign', 'kind'], anyWindow)).toBeNull();
  });

  test('asks the server once for what several lenses are made of', async () => {
    const { load, asked } = engine();
    for (const lens of ['auto', 'keywords', 'campaigns', 'products'] as const)
      await load(1, { revision: 1, targetAcos: 0.24 }, lens);
    expect(asked).toEqual(['tree', 'target', 'ad-group']);
    await load(1, { revision: 1, targetAcos: 0.3 }, 'auto');
    // Another target ACOS changes how rows stand, not what they sum to.
    expect(asked).toEqual(['tree', 'target', 'ad-group', 'tree']);
    // Newer data are both.
    await load(1, { revision: 2, targetAcos: 0.3 }, 'auto');
    expect(asked).toEqual(['tree', 'target', 'ad-group', 'tree', 'tree', 'target']);
  });

  test('asks for no targets where campaigns alone are shown', async () => {
    const { load, asked } = engine();
    await load(1, { revision: 1, targetAcos: 0.24 }, 'campaigns');
    expect(asked).toEqual(['outline', 'ad-group']);
    await load(1, { revision: 1, targetAcos: 0.24 }, 'keywords');
    expect(asked).toEqual(['outline', 'ad-group', 'tree', 'target']);
  });

  test('finds the same words elsewhere, whatever their spelling', async () => {
    const { load, elsewhere } = engine();
    const { loadId, table } = await load(1, { revision: 1, targetAcos: 0.24 }, 'terms');
    const row = table.name.indexOf('stoneware crocks');
    expect(elsewhere(loadId, row)).toMatchObject([{ place: 'Crock exact › group 12', clicks: 9, orders: 1 }]);
  });

  test('finds anything by parts of its name, and says where it lives', async () => {
    const { find } = engine();
    const found = await find(1, { revision: 1, targetAcos: 0.24 }, 'crock stone');
    expect(found.map(({ kind, name }) => `${kind}: ${name}`)).toEqual([
      'product: Stoneware crock',
      'keyword: stoneware crock (exact)',
      'search term: Stoneware Crock',
      'search term: stoneware crocks',
    ]);
    expect(await find(1, { revision: 1, targetAcos: 0.24 }, '  ')).toEqual([]);
  });
});
