import type { GridCell } from '../../../charts';
import { OFF } from '../../../core/schedules';
import type { Week } from '../../../core/schedules';

/** A percentage this far from none has the full colour. */
const FULL = 40;

/** A percentage as it stands in an hour: +12, −20, off; nothing where bids stay. */
export const percentText = (percent: number): string =>
  percent === OFF ? 'off' : percent === 0 ? '' : `${percent > 0 ? '+' : '−'}${Math.abs(percent)}`;

/** A week of percentages as the cells of a picture; hours that stay have no colour. */
export const weekPicture = (week: Week): GridCell[] =>
  week.map((percent) => ({
    value: percent,
    text: percentText(percent),
    tone: percent / FULL,
    isSure: true,
  }));
