import { makeBidStep } from '../../bids/makeBidStep';

export const over = makeBidStep({
  name: 'over',
  label: 'Overpaying',
  money: 'above target a month',
  figures: ['clicks', 'orders', 'spend', 'acos'],
  stake: { label: 'Above', definition: 'What a month costs above the target ACOS, at the present bid' },
  sentence: ({ left, count, money }) =>
    left === 0
      ? 'No bid is left above what its clicks are worth.'
      : `${count} ${left === 1 ? 'costs' : 'cost'} ${money} a month above the target.`,
});
