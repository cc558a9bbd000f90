export { termReader } from './termReader';
export { normalisedTerms, sumsByCampaign, sumsOfRow, sumsOfRows, termForms } from './termTable';
export type { TermHistory, TermTable } from './termTable';
export { chanceWithin, costPerClick, marginOr, neededFor, paysSomewhere } from './termChance';
export { termContext } from './termContext';
export type { TermContext } from './termContext';
export { USUAL_TERM_ASKS } from './usual';
