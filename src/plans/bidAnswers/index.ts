export { answerBids } from './answerBids';
export type { BidAnswers } from './answerBids';
