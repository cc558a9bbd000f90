/** Where an ad can stand, in the order in which figures number them. */
export const PLACEMENTS = ['top', 'rest', 'pages'] as const;
export type Placement = (typeof PLACEMENTS)[number];

export const PLACEMENT_LABELS: Record<Placement, string> = {
  top: 'top of search',
  rest: 'rest of search',
  pages: 'product pages',
};
