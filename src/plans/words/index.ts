export { keptWords } from './keptWords';
export type { KeptWords, WordsFrom } from './keptWords';
export { answerWords } from './wordQuestions';
export type { WordAnswers } from './wordQuestions';
export type { BlockedAnswer, PartDetail, PartPlace, StandingFinding, TermLine, WordsSummary } from './types';
