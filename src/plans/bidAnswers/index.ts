export { answerBids } from './answerBids';
export type { BidAnswers, BidsAsked } from './answerBids';
