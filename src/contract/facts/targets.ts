import { AD_FIGURES, AD_REQUIRED } from './adFigures';
import { AD_GROUP, AT_TARGET, CAMPAIGN } from './places';

export const targets = {
  kind: 'targets',
  label: 'Targets',
  table: 'target_day',
  weekTable: 'target_week',
  ...AT_TARGET,
  detail: null,
  detailColumn: null,
  figures: AD_FIGURES,
  required: [['day'], CAMPAIGN, AD_GROUP, ['target', 'targetId'], ...AD_REQUIRED],
  canBeSummed: true,
  keyWords: 'and target',
  isLate: true,
  daysAtOnce: 15,
  keepsFirstDays: false,
  hasMoney: true,
} as const;
