import { makeBidStep } from '../../bids/makeBidStep';

export const grow = makeBidStep({
  name: 'grow',
  label: 'Room to grow',
  money: 'sales to win a month',
  figures: ['clicks', 'orders', 'sales', 'acos'],
  stake: { label: 'To win', definition: 'Sales of a month that the proposed bid adds' },
  sentence: ({ left, count, money }) =>
    left === 0
      ? 'Room to grow: no target is left whose next click would still pay.'
      : `${count} could bid more; about ${money} of sales a month are to be won.`,
});
