import type { TrendMark } from '../../charts';
import type { ChangeDay } from '../../contract/field';
import { describeChange } from '../../core/changes';
import { formatCount } from '../../core/units';

/** What was changed on a day, as a mark below a time line. */
export const changeMark = ({ day, count, change }: ChangeDay): TrendMark => ({
  day,
  count,
  words: change ? describeChange(change) : `${formatCount(count)} changes were made`,
});
