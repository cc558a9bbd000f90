import type { PointSource } from '../../shared/picture/points';
import type { LoadedReview } from '../../../plans/terms';

/** What the cut line of a review is drawn from. */
export function sourceOf({ table, estimates }: Pick<LoadedReview, 'table' | 'estimates'>): PointSource {
  return { clicks: table.clicks, spend: table.spend, ...estimates };
}
