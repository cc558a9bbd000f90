export { breakEven, marginOf, missingCosts, NEEDED_COSTS } from './margin';
export type { BreakEven, Margin, ProductCosts } from './margin';
