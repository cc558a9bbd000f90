import { PLACEMENTS } from '../../../core/structure';
import { AUTO_GROUPS } from '../seller/books';
import type { Scenario } from './scenario';
import { TARNBROOK_NEW } from './tarnbrookNew';
import { TARNBROOK_PRODUCTS } from './tarnbrookProducts';

/** The demo's first seller: Tarnbrook Ferments, a small maker of home-fermenting gear. All names are made up. */
export const TARNBROOK: Scenario = {
  key: 'tarnbrook',
  accountName: 'Tarnbrook Ferments',
  currency: 'EUR',
  timeZone: 'Europe/Berlin',
  targetAcos: 0.24,
  today: '2026-11-23',
  days: 120,
  seed: 20261123,
  brand: 'Tarnbrook',
  rivals: ['Saltwell', 'Crockholm', 'Brinewick', 'Jarrow & Fen'],
  synonyms: [
    ['crock', 'pot'],
    ['pickle', 'pickling'],
    ['fermentation', 'fermenting', 'ferment'],
    ['pounder', 'tamper', 'stomper'],
  ],
  products: [...TARNBROOK_PRODUCTS, ...TARNBROOK_NEW],
  tailQueries: 1050,
  itemQueries: 50,
  headVolume: 150,
  unseenShare: 0.0025,
  limits: {
    minBid: 50_000,
    maxBid: 50_000_000,
    bidStep: 10_000,
    minBudget: 1_000_000,
    maxBudget: 1_000_000_000,
    maxLength: 80,
    maxWords: 10,
    refusedCharacters: '!%*<>{}|\\^~@$=;',
  },
  options: {
    productTargets: true,
    matches: ['exact', 'phrase', 'broad'],
    modifiers: [...PLACEMENTS],
    schedules: true,
    bidFlex: true,
    budgetKinds: ['daily', 'lifetime'],
    autoGroups: [...AUTO_GROUPS],
    mostTargets: 1000,
    mostNegatives: 1000,
    adGroupBudgets: false,
    placementNames: {},
    clickPrice: null,
    similarCategories: false,
    adParts: null,
  },
  funds: null,
  targetsPerProduct: 125,
  movingListings: true,
  nature: { rhythm: 0.3 },
};
