import type { KeyLine } from '../../shared/frame/KeysHelp';

/** Keys of the steps that tune bids. */
export const BID_KEYS: readonly KeyLine[] = [
  ['[ ]', 'bid −5 % or +5 %'],
  ['0', 'bids: to the floor, or back to what is proposed'],
  ['p', 'bids: pause instead of lowering, or back'],
  ['o', 'bids: accept the loss, with a note'],
  ['a', 'bids: accept the whole step, after a summary'],
  ['< >', 'bids: another target ACOS on the cut line, by 1 %'],
];
