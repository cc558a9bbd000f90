export { BEYOND, emptyPanel, isPlace } from './panel';
export type { RankPanel } from './panel';
export {
  EFFECT_DAYS,
  LEAST_DAYS,
  LEAST_PAIRS,
  moveOf,
  ORDERS_MORE,
  RANK_INTERVAL,
  rankEffect,
} from './rankEffect';
export type { RankEffect } from './rankEffect';
export { LONGEST_LAG } from './sample';
export { organicShare, ordersAt, DAYS_OF_MONTH, USUAL_SHARE } from './organicShare';
export type { OrganicShare, OrganicWeek } from './organicShare';
export type { ProductSalesDay, RankedTerm, RankFeed, RankPair, TermAds } from './pairs';
export { rankReader, rankValue } from './rankRow';
export type { RankRow } from './rankRow';
export { RANK_SWATHS } from './readySwaths';
export { atLeast, RANK_DAYS, standOver } from './stand';
export { rankWorth, shrunkConversion } from './worth';
export type { RankWorth, Worth } from './worth';
export { rankEffectWords } from './effectWords';
