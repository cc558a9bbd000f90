import { makeBidStep } from '../../bids/makeBidStep';

export const dead = makeBidStep({
  name: 'dead',
  label: 'Dead spend',
  money: 'spend a month',
  figures: ['clicks', 'spend', 'cpc'],
  stake: { label: 'A month', definition: 'What a month costs at the present bid' },
  sentence: ({ left, count, money }) =>
    left === 0
      ? 'No dead spend is left.'
      : `${count} ${left === 1 ? 'takes' : 'take'} ${money} a month, sold nothing and ${left === 1 ? 'is' : 'are'} unlikely to.`,
});
