import { AD_FIGURES, AD_REQUIRED } from './adFigures';
import { AD_GROUP, AT_TARGET, CAMPAIGN } from './places';

/** What shoppers searched for, by the target that caught it. */
export const terms = {
  kind: 'terms',
  label: 'Search terms',
  table: 'term_day',
  weekTable: 'term_week',
  ...AT_TARGET,
  detail: 'term',
  detailColumn: 'term_id',
  figures: AD_FIGURES,
  required: [['day'], CAMPAIGN, AD_GROUP, ['term'], ...AD_REQUIRED],
  canBeSummed: true,
  keyWords: 'target and search term',
  isLate: true,
  daysAtOnce: 10,
  keepsFirstDays: true,
  hasMoney: true,
} as const;
