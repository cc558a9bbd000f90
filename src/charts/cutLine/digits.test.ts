import { afterEach, expect, test } from 'vitest';
import { showMoneyIn } from '../../core/units';
import { digits } from './digits';

afterEach(() => showMoneyIn('EUR'));

test.each([
  ['EUR', ['200.0', '5.0', '0.5', '0.15', '0.02']],
  ['JPY', ['200', '5', '0.5', '0.15', '0.02']],
])('an axis in %s tells each amount apart', (currency, told) => {
  showMoneyIn(currency);
  expect([200, 5, 0.5, 0.15, 0.02].map((units) => digits(units * 1e6))).toEqual(told);
});
