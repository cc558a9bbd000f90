import { AD_FIGURES, AD_REQUIRED } from './adFigures';
import { AT_CAMPAIGN, CAMPAIGN } from './places';

export const placements = {
  kind: 'placements',
  label: 'Placements',
  table: 'placement_day',
  weekTable: 'placement_week',
  ...AT_CAMPAIGN,
  detail: 'placement',
  detailColumn: 'placement',
  figures: AD_FIGURES,
  required: [['day'], CAMPAIGN, ['placement'], ...AD_REQUIRED],
  canBeSummed: true,
  keyWords: 'campaign and placement',
  isLate: true,
  daysAtOnce: 60,
  keepsFirstDays: false,
  hasMoney: true,
} as const;
