import type { ImportKind } from '../../../contract/reportFields';

/** What can be done once a report or list is here, told where there is nothing yet; null: it is kept, and no place shows it so far. In the order in which they help most. */
export const WHAT_IT_OPENS: Record<ImportKind, string | null> = {
  terms: 'Harvest, negatives, routes and words: what shoppers typed, day by day.',
  entities: 'Bids: without them no bid can be proposed. Names, bids, budgets and states of everything.',
  targets: 'Dead spend, overpaying, room to grow, and the overview of the account.',
  sales: 'TACOS and organic sales: what the products sell in all.',
  costs: 'Margins and break-even: profit instead of ACOS alone.',
  placements: 'Top of search against the rest, in the Field.',
  hours: null,
  ranks: null,
  goals: 'Targets of your own for lines, products, campaigns and ad groups.',
};
