import { formatCount, formatMoney } from '../../../../core/units';
import { makeTermStep } from '../../terms/makeTermStep';

export const negatives = makeTermStep({
  name: 'negatives',
  label: 'Negatives',
  money: 'spend',
  figures: ['clicks', 'orders', 'spend', 'acos', 'cpc'],
  sentence: ({ left, money }, currency) =>
    `${left === 1 ? 'One search term' : `${formatCount(left)} search terms`} took ${formatMoney(money)} ${currency} and ${left === 1 ? 'is' : 'are'} unlikely to pay.`,
});
