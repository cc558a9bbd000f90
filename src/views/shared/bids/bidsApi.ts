import type { BidQuestion, BidsAskedWith, RoundSettings } from '../../../contract/bids';
import type { PlanAnswer } from '../../../plans/bids';
import type { BidAnswers } from '../../../plans/bidAnswers';
import { askColumns, ask, asking, query } from '../ask';

/** Questions that are put with settings, and answered in few figures. */
type Put = Exclude<BidQuestion, 'plan' | 'planFrom' | 'price'>;

/** What views ask about an account's bids. */
export const bidsApi = {
  bidPlan: (account: number, settings: RoundSettings, known?: string) =>
    askColumns<PlanAnswer>('/api/bids/plan', asking({ account, settings, known })),
  askBids: <Q extends Put>(account: number, question: Q, asked: BidsAskedWith[Q]) =>
    askColumns<BidAnswers[Q]>(`/api/bids/${question}`, asking({ account, ...asked })),
  clickPrice: (account: number) => ask<BidAnswers['price']>(`/api/bids/price?${query({ account })}`),
  bidsLeft: (account: number) => ask<{ left: number }>(`/api/bids/left?${query({ account })}`),
};
