import { rhythmOf } from './rhythm';
import type { HourCells } from './cells';
import type { Rhythm } from './rhythm';

/** A part of the account with fewer orders has the account's pattern: its own would be mostly chance. */
export const OWN_PATTERN = 1000;

/** The pattern of a part of the account, shrunk to that of the whole; under 1,000 orders it is that. */
export function rhythmWithin(whole: Rhythm, own: HourCells): { rhythm: Rhythm; isOwn: boolean } {
  const orders = own.orders.reduce((sum, one) => sum + one, 0);
  if (orders < OWN_PATTERN) return { rhythm: whole, isOwn: false };
  const apart = rhythmOf({ ...own, expected: own.expected.map((one, cell) => one * whole.factor[cell]) });
  const times = (a: Float64Array, b: Float64Array) => a.map((one, at) => one * b[at]);
  return {
    isOwn: true,
    rhythm: {
      weekday: times(apart.weekday, whole.weekday),
      hour: times(apart.hour, whole.hour),
      factor: times(apart.factor, whole.factor),
      sd: apart.sd.map((one, at) => Math.hypot(one, whole.sd[at])),
      weekdaySd: apart.weekdaySd.map((one, at) => Math.hypot(one, whole.weekdaySd[at])),
      hourSd: apart.hourSd.map((one, at) => Math.hypot(one, whole.hourSd[at])),
    },
  };
}
