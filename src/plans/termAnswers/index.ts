export { answerTerms } from './answerTerms';
export type { TermAnswers, TermsAskedWith } from './answerTerms';
