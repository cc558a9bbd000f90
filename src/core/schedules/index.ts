export {
  DAY_NAMES,
  isWeek,
  MOST_RAISE,
  OFF,
  percentWords,
  PLAIN_WEEK,
  readWeek,
  WEEK_HOURS,
  weekText,
  weekWords,
} from './week';
export type { Week } from './week';
