import type { Scenario, ScenarioProduct } from './scenario';

const office = ['for school', 'for the office', 'for journals', 'for gifts', 'for students'];

const PRODUCTS: ScenarioProduct[] = [
  {
    name: 'Notebook, dotted, A5',
    line: 'Notebooks',
    price: 14.9,
    conversion: 0.1,
    heads: ['dotted notebook', 'dotted journal', 'a5 notebook dotted', 'dot grid notebook'],
    qualities: ['hardcover', 'thick paper', 'green', 'set of 2', 'black', 'recycled', 'with pocket'],
    uses: office,
    strays: ['notebook computer', 'polka dot dress', 'laptop sleeve', 'grid plan template'],
  },
  {
    name: 'Letter paper, 100 sheets',
    line: 'Paper',
    price: 19.5,
    conversion: 0.08,
    heads: ['letter paper', 'writing paper', 'stationery paper', 'letter writing sheets'],
    qualities: ['ivory', 'a4', 'textured', 'cotton', 'with envelopes', 'lined', 'heavy'],
    uses: office,
    strays: ['toilet paper', 'wrapping paper', 'letter scale', 'cover letter template'],
  },
  {
    name: 'Envelopes with lining, 50 pieces',
    line: 'Paper',
    price: 12.4,
    conversion: 0.09,
    heads: ['lined envelopes', 'envelopes with lining', 'wedding envelopes', 'c6 envelopes'],
    qualities: ['white', 'kraft', 'ivory', 'self sealing', 'small', 'pack of 50', 'green'],
    uses: ['for invitations', 'for weddings', 'for cards', 'for letters', 'for gifts'],
    strays: ['padded envelopes', 'envelope bag', 'red envelope money', 'letter opener'],
  },
];

/** Of this market, micros. */
const CLICK_PRICE = 340_000;

/**
 * A third seller, on a market of another kind: ad groups have budgets and days of their own, at most a hundred keywords and a hundred negatives;
 * every click costs the same, ads stand in search and in browsing, and show titles and pictures of their own. All made up.
 */
export const FERNHOLLOW: Scenario = {
  key: 'fernhollow',
  accountName: 'Fernhollow Paper',
  currency: 'CHF',
  timeZone: 'Europe/Zurich',
  targetAcos: 0.3,
  today: '2026-11-23',
  days: 60,
  seed: 30_911,
  brand: 'Fernhollow',
  rivals: ['Quillan', 'Marbeck', 'Ledger Lane'],
  synonyms: [['notebook', 'journal']],
  products: PRODUCTS,
  tailQueries: 160,
  itemQueries: 0,
  headVolume: 60,
  unseenShare: 0.003,
  limits: {
    minBid: CLICK_PRICE,
    maxBid: CLICK_PRICE,
    bidStep: 10_000,
    minBudget: 2_000_000,
    maxBudget: 500_000_000,
    maxLength: 70,
    maxWords: 7,
    refusedCharacters: '!%*<>{}|\\^~@$=;',
  },
  options: {
    productTargets: false,
    matches: ['exact', 'phrase', 'broad'],
    modifiers: [],
    schedules: false,
    bidFlex: false,
    budgetKinds: ['daily'],
    autoGroups: ['near searches', 'wide searches'],
    mostTargets: 100,
    mostNegatives: 100,
    adGroupBudgets: true,
    placementNames: { rest: 'search', pages: 'browsing' },
    clickPrice: CLICK_PRICE,
    similarCategories: true,
    adParts: {
      titles: { most: 3, longest: 50 },
      pictures: { most: 3, width: 600, height: 400, types: ['png', 'jpg'], mostBytes: 500_000 },
    },
  },
  funds: null,
  targetsPerProduct: 40,
};
