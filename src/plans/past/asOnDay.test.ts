import { expect, test } from 'vitest';
import { aBidFeed } from '../../../tests/make/bids';
import { aTree } from '../../../tests/make/lenses';
import { asOnDay } from '.';

test('a day that is past knows the bids of then, no later change, and of late orders what had come in', () => {
  const tree = aTree();
  const feed = aBidFeed({
    completion: [0.5, 0.8, 1],
    days: {
      targetId: [1001, 1001, 1001],
      age: [0, 1, 5],
      clicks: [10, 10, 10],
      spend: [1, 1, 1],
      orders: [4, 4, 4],
      sales: [80, 80, 80],
    },
    bidChanges: [
      { targetId: 1001, day: '2026-11-21', from: 300_000 },
      { targetId: 1001, day: '2026-11-22', from: 350_000 },
      { targetId: 1002, day: '2026-11-10', from: 200_000 },
    ],
  });
  const past = asOnDay(tree, feed, '2026-11-20', '2026-11-23');
  const bid = (id: number) => past.tree.targets.find((one) => one.id === id)!.bid;
  expect(bid(1001)).toBe(300_000);
  expect(bid(1002)).toBe(tree.targets.find(({ id }) => id === 1002)!.bid);
  expect(past.feed.bidChanges.map(({ targetId }) => targetId)).toEqual([1002]);
  // Three days later everything of these days is in: half of it was on the same day.
  expect(past.feed.days.orders).toEqual([2, 3.2, 4]);
  expect(past.feed.days.sales).toEqual([40, 64, 80]);
  expect(past.tree.today).toBe('2026-11-20');
});
