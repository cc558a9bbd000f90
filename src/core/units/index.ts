export { MICROS_PER_UNIT, currencyDecimals, microsToDecimal, roundDownToStep, toMicros } from './money';
export type { Micros } from './money';
export {
  addDays,
  dayFromNumber,
  dayNumber,
  dayOf,
  DAYS_PER_MONTH,
  daysIn,
  isDay,
  isRealDay,
  mondayOf,
  weekdayOf,
} from './day';
export type { Day } from './day';
export {
  counted,
  DASH,
  decimalMark,
  decimalsOf,
  formatCount,
  formatDay,
  formatFullDay,
  formatMoney,
  formatMoneyOf,
  formatNumber,
  formatOnStep,
  formatShare,
  showDaysFrom,
  showMoneyBy,
  showMoneyIn,
  writeNumbersAs,
} from './format';
export { readNumber } from './read';
