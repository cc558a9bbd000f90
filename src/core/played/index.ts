export { spreadOf, tellPlayed } from './tell';
export type {
  PlayedMarkets,
  PlayedSums,
  PlayedTold,
  PlayAsked,
  PlayedWeek,
  PlayLike,
  PlayLine,
  PlayTold,
  Spread,
} from './like';
