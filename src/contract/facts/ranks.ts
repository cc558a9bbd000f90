import { AT_PRODUCT } from './places';
import { count, rank } from './spec';

/** Where a product stands in the results that nobody pays for. */
export const ranks = {
  kind: 'ranks',
  label: 'Organic ranks',
  table: 'rank_day',
  weekTable: null,
  ...AT_PRODUCT,
  detail: 'term',
  detailColumn: 'term_id',
  figures: [
    rank('rank', 'Organic rank', 'organic_rank'),
    count('weeklySearches', 'Searches a week', 'weekly_searches'),
  ],
  required: [['day'], ['itemCode'], ['term'], ['rank']],
  canBeSummed: false,
  keyWords: 'product and search term',
  isLate: false,
  daysAtOnce: 30,
  keepsFirstDays: false,
  hasMoney: false,
} as const;
