/** What search terms are asked for until something else is chosen: by trial these find most that sells on, and block most that does not pay. */
export const USUAL_TERM_ASKS = {
  basis: 'chance',
  minOrders: 2,
  surety: 0.7,
  clicksMultiple: 2,
  chance: 0.2,
  leastSpend: 3_000_000,
} as const;
