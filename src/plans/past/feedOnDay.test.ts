import { expect, test } from 'vitest';
import { aBidFeed } from '../../../tests/make/bids';
import { feedOnDay } from '.';

test('on a day that is past no later change is known, and of late orders what had come in', () => {
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
    placements: { campaignId: [1], placement: [0], age: [0], clicks: [10], spend: [1], orders: [6] },
    bidChanges: [
      { targetId: 1001, day: '2026-11-21', from: 300_000 },
      { targetId: 1002, day: '2026-11-10', from: 200_000 },
    ],
  });
  const past = feedOnDay(feed, '2026-11-20', '2026-11-23');
  expect(past.bidChanges.map(({ targetId }) => targetId)).toEqual([1002]);
  // Three days later everything of these days is in: half of it was on the same day.
  expect(Array.from(past.days.orders)).toEqual([2, 3.2, 4]);
  expect(Array.from(past.days.sales)).toEqual([40, 64, 80]);
  expect(Array.from(past.placements.orders)).toEqual([3]);
});
