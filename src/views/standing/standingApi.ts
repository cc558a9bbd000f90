import type {
  HookInfo,
  HookRequest,
  NightsAnswer,
  PlayAnswer,
  PlayRequest,
  RulesAnswer,
  TryAnswer,
  TryRequest,
} from '../../contract/rules';
import type { RuleEffectAnswer } from '../../contract/effects';
import type { GrowthAnswer, GrowthInfo } from '../../contract/growth';
import type { TestsAnswer } from '../../contract/tests';
import type { RuleGuards } from '../../core/rules';
import { ask, query, send } from '../shared/ask';

/** What the place asks about rules and their nights. Rules are read and kept by the shared api: frame and undo need that too. */
export const standingApi = {
  order: (account: number, ids: number[]) =>
    ask<RulesAnswer>('/api/rules/order', send('PUT', { account, ids })),
  guards: (account: number, guards: RuleGuards) =>
    ask<RulesAnswer>('/api/rules/guards', send('PUT', { account, guards })),
  tryOut: (request: TryRequest) => ask<TryAnswer>('/api/rules/try', send('POST', request)),
  tests: (account: number) => ask<TestsAnswer>(`/api/tests?${query({ account })}`),
  growthPlans: (account: number) => ask<GrowthAnswer>(`/api/growth?${query({ account })}`),
  growth: (account: number, id: number) => ask<GrowthInfo>(`/api/growth?${query({ account, id })}`),
  beginGrowth: (account: number, productId: number) =>
    ask<{ id: number }>('/api/growth', send('POST', { account, productId })),
  played: (account: number, id: number) => ask<PlayAnswer>(`/api/rules/play?${query({ account, id })}`),
  play: (request: PlayRequest) => ask<{ jobId: number }>('/api/rules/play', send('POST', request)),
  nights: (account: number) => ask<NightsAnswer>(`/api/nights?${query({ account })}`),
  effect: (account: number, id: number) =>
    ask<RuleEffectAnswer>(`/api/rules/effect?${query({ account, id })}`),
  hook: (account: number) => ask<HookInfo>(`/api/rules/hook?${query({ account })}`),
  setHook: (request: HookRequest) => ask<HookInfo>('/api/rules/hook', send('PUT', request)),
  runNow: (account: number) => ask<{ jobId: number }>('/api/nights', send('POST', { account })),
  undo: (account: number, night: number) =>
    ask<{ takenOut: number; staged: number[] }>('/api/nights', send('DELETE', { account, night })),
};
