import { describe, expect, test } from 'vitest';
import { aLoadedReview } from '../../../../tests/make/review';
import { sourceOf } from '../../round/terms/sourceOf';
import { areaAround, pointsOf, rowsInArea } from './points';

const loaded = aLoadedReview([
  { term: 'cheap', clicks: 50, orders: 10, spend: 10, sales: 200 },
  { term: 'dear', clicks: 50, orders: 1, spend: 60, sales: 20 },
  { term: 'not clicked', clicks: 0, spend: 0 },
]);
const review = sourceOf(loaded);
const all = Int32Array.from([0, 1, 2]);

describe('the rows as points', () => {
  test('stand at what a click brings and what it costs; rows without clicks are not drawn', () => {
    const points = pointsOf(all, review);
    expect([...points.rows]).toEqual([0, 1]);
    expect([...points.cpc]).toEqual([200_000, 1_200_000]);
    expect(points.rpc[0]).toBeGreaterThan(points.rpc[1]);
    expect(points.low[0]).toBeLessThan(points.rpc[0]);
  });

  test('inside a brushed area are the rows shown', () => {
    const wide: [number, number] = [0, 1e9];
    expect([...rowsInArea(all, review, { rpc: wide, cpc: [0, 500_000] })]).toEqual([0]);
    expect([...rowsInArea(all, review, { rpc: wide, cpc: wide })]).toEqual([0, 1]);
    expect([...rowsInArea(all, review, { rpc: [1e9, 2e9], cpc: wide })]).toEqual([]);
  });

  test('a brush from the keyboard begins around the focused row, and not at all without rows', () => {
    const points = pointsOf(all, review);
    expect([...rowsInArea(all, review, areaAround(points, 1)!)]).toEqual([1]);
    expect([...rowsInArea(all, review, areaAround(points, 2)!)]).toEqual([0]);
    expect(areaAround(pointsOf(Int32Array.from([2]), review), 2)).toBeNull();
  });
});
