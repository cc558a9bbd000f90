import { AD_FIGURES, AD_REQUIRED } from './adFigures';
import { AT_CAMPAIGN, CAMPAIGN } from './places';

export const hours = {
  kind: 'hours',
  label: 'Hours',
  table: 'campaign_hour',
  weekTable: 'campaign_hour_week',
  ...AT_CAMPAIGN,
  detail: 'hour',
  detailColumn: 'hour',
  figures: AD_FIGURES,
  required: [['day'], ['hour'], CAMPAIGN, ...AD_REQUIRED],
  canBeSummed: true,
  keyWords: 'campaign and hour',
  isLate: true,
  daysAtOnce: 30,
  keepsFirstDays: false,
  hasMoney: true,
} as const;
