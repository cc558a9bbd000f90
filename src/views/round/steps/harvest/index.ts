import { formatCount, formatMoney } from '../../../../core/units';
import { makeTermStep } from '../../terms/makeTermStep';

export const harvest = makeTermStep({
  name: 'harvest',
  label: 'Harvest',
  money: 'sales',
  figures: ['clicks', 'orders', 'sales', 'acos'],
  sentence: ({ left, money, profit }, currency) => {
    const [have, own] = left === 1 ? ['has', 'its'] : ['have', 'their'];
    return profit > 0
      ? `${left === 1 ? 'One term' : `${formatCount(left)} terms`} ${have} no keyword of ${own} own; +${formatMoney(profit)} ${currency} profit a month expected.`
      : `${left === 1 ? 'One search term' : `${formatCount(left)} search terms`} sold for ${formatMoney(money)} ${currency} and ${have} no keyword of ${own} own.`;
  },
});
