/** Where an ad can stand: top of search, rest of search, product pages. */
export const PLACEMENTS = ['top', 'rest', 'pages'] as const;
export type Placement = (typeof PLACEMENTS)[number];
