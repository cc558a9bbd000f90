import type { LossAnswer, LossInfo, LossRequest } from '../../../contract/aside';
import type { RankAnswer, RankDaysAnswer, RankLinesAnswer } from '../../../contract/rank';
import { ask, query, send } from '../ask';

/** What pages ask about organic ranks, and about losses that are accepted for them. */
export const rankApi = {
  rank: (account: number, span: number) => ask<RankAnswer>(`/api/rank?${query({ account, span })}`),
  rankDays: (asked: {
    account: number;
    product: number;
    term: number;
    days?: number;
    from?: string;
    to?: string;
  }) => ask<RankDaysAnswer>(`/api/rank/days?${query(asked)}`),
  rankLines: (asked: { account: number; product: number; term?: number }) =>
    ask<RankLinesAnswer>(`/api/rank/lines?${query(asked)}`),
  losses: (account: number) => ask<{ losses: LossInfo[] }>(`/api/losses?${query({ account })}`),
  changeLosses: (request: LossRequest) => ask<LossAnswer>('/api/losses', send('POST', request)),
};
