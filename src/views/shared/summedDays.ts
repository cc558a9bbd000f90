import type { AccountInfo } from '../../contract/api';
import { formatDay } from '../../core/units';
import { sumsIn } from '../../core/windows';
import type { Window } from '../../core/windows';

/** Why some days cannot be shown one by one; null where they can. */
export function whyNoDays({ sums }: Pick<AccountInfo, 'sums'>, days: Window): string | null {
  const [first] = sumsIn(days, sums);
  return first === undefined
    ? null
    : `The figures of ${formatDay(first.from)} – ${formatDay(first.to)} came summed: nothing is known day by day.`;
}
