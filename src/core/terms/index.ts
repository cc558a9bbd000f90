export { termReader } from './termReader';
export { normalisedTerms, sumsByCampaign, sumsOfRow, sumsOfRows, termForms } from './termTable';
export type { TermTable } from './termTable';
export { chanceWithin, marginOr } from './termChance';
export { termContext } from './termContext';
export type { TermContext } from './termContext';
