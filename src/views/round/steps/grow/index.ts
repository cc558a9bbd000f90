import { makeBidStep } from '../../bids/makeBidStep';
import { SALES_TO_GAIN } from '../../../shared/words';

export const grow = makeBidStep({
  name: 'grow',
  label: 'Room to grow',
  money: SALES_TO_GAIN,
  hasTesting: true,
  figures: ['clicks', 'orders', 'sales', 'acos'],
  stake: { label: 'To gain', definition: 'Sales of a month that the proposed bid adds' },
  sentence: ({ left, count, money }) =>
    left === 0
      ? 'No target is left whose next click would pay.'
      : `${count} could bid more: sales +${money} a month.`,
});
