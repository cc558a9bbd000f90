export { normaliseTerm, wordsOf } from './normalise';
export { foldPlural, matchForm, matchWords } from './matchForm';
export { holdsPhrase, holdsWords } from './matchTypes';
export type { KeywordMatch } from './matchTypes';
export { keywordIndex } from './keywordIndex';
export type { IndexedKeyword, KeywordIndex, Synonyms } from './keywordIndex';
export { isItemCode, writeItemCode } from './itemCode';
export { isBlocked, negativeSet } from './negatives';
export type { NegativeMatch, NegativeSet } from './negatives';
