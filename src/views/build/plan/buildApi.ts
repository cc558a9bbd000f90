import type {
  LaunchAnswer,
  NewPlanRequest,
  PlanAnswer,
  PlansAnswer,
  SourceTerm,
  TermSource,
} from '../../../contract/build';
import { ask, query, send } from '../../shared/ask';

/** What the place asks about plans. */
export const buildApi = {
  plans: (account: number) => ask<PlansAnswer>(`/api/build?${query({ account })}`),
  plan: (account: number, id: number) => ask<PlanAnswer>(`/api/build/plan?${query({ account, id })}`),
  begin: (request: NewPlanRequest) => ask<PlanAnswer>('/api/build/plan', send('POST', request)),
  stage: (account: number, id: number) =>
    ask<{ ids: number[] }>('/api/build/stage', send('POST', { account, id })),
  launch: (account: number, id: number) =>
    ask<LaunchAnswer>('/api/build/launch', send('POST', { account, id })),
  file: async (account: number, id: number, format: string): Promise<Blob> => {
    const answer = await fetch(`/api/build/file?${query({ account, id, format })}`);
    if (!answer.ok) throw new Error('The file could not be made. Try again.');
    return answer.blob();
  },
  take: (account: number, file: File) =>
    ask<PlanAnswer>(`/api/build/file?${query({ account })}`, { method: 'POST', body: file }),
  terms: (account: number, product: number, from: TermSource) =>
    ask<{ terms: SourceTerm[]; of: 'product' | 'line' | 'market' }>(
      `/api/build/terms?${query({ account, product, from })}`,
    ),
};
