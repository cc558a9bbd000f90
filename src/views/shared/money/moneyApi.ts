import type { MonthGoal } from '../../../contract/field';
import type { MoneyAnswer, PaceAnswer, SpendPlan, YearAnswer } from '../../../contract/money';
import type { OwnCampaignAnswer, OwnCampaignRequest } from '../../../contract/strongTarget';
import { ask, query, send } from '../ask';

/** What views ask about an account's money. */
export const moneyApi = {
  ownCampaign: (request: OwnCampaignRequest) =>
    ask<OwnCampaignAnswer>('/api/own-campaign', send('POST', request)),
  money: (account: number) => ask<MoneyAnswer>(`/api/money?${query({ account })}`),
  topUp: (account: number, amount: number) =>
    ask<{ funds: number }>('/api/money', send('POST', { account, amount })),
  year: (account: number, year: string) => ask<YearAnswer>(`/api/year?${query({ account, year })}`),
  setMonthGoal: (account: number, goal: MonthGoal) =>
    ask<{ kept: boolean }>('/api/overview', send('PUT', { account, ...goal })),
  pace: (account: number) => ask<PaceAnswer>(`/api/pace?${query({ account })}`),
  planSpend: (account: number, plan: SpendPlan) =>
    ask<{ kept: boolean }>('/api/pace', send('PUT', { account, ...plan })),
  dropSpendPlan: (account: number, { scope, scopeId, span }: Omit<SpendPlan, 'spend'>) =>
    ask<{ removed: boolean }>('/api/pace', send('DELETE', { account, scope, scopeId, span })),
};
