// The one typed client through which views reach the server.
import type { AccountLine } from '../../contract/accountList';
import type { AdsAnswer, PictureRequest } from '../../contract/ads';
import type { GrowthCampaignsRequest, GrowthInfo } from '../../contract/growth';
import type { RuleRequest, RulesAnswer } from '../../contract/rules';
import type {
  AccountInfo,
  ErrorAnswer,
  FieldSumsAnswer,
  GoalsAnswer,
  ImportAnswer,
  SummedInfo,
  NewAccount,
  Health,
  ProductsAnswer,
  RevisionAnswer,
  SyncInfo,
} from '../../contract/api';
import type { PlanAnswer, PlanRequest } from '../../contract/build';
import type { ChoicesAnswer, ChoicesRequest } from '../../contract/choices';
import type {
  BaleInfo,
  CarriedOutRequest,
  ChangeInfo,
  FileDifferences,
  NewChange,
  SendResult,
  Settling,
  UndoAnswer,
} from '../../contract/changes';
import type { AskedWindow, TreeQuery } from '../../contract/requests';
import type { ReviewColumns, ReviewData, TermDays } from '../../contract/review';
import type {
  AccountTreeColumns,
  HistoryAnswer,
  Note,
  OverviewAnswer,
  PeriodsRequest,
  RowDaysAnswer,
  RowPeriodColumns,
  RowsRequest,
  SparksAnswer,
  NewTarget,
  SuggestionsAnswer,
  Swath,
} from '../../contract/field';
import type { BaleEffects, PurposeEffects } from '../../contract/effects';
import type { Aside, AsideRequest } from '../../contract/aside';
import type { LensGrain } from '../../core/lenses';
import { toTargets } from '../../core/structure';
import type { AccountTree } from '../../core/structure';
import type { ChangeState } from '../../core/changes';
import type { ProductCosts } from '../../core/economics';
import type { WordLists } from '../../core/matching';
import type { NegativeListInfo, NegativeListRequest } from '../../contract/words';
import type { Goal } from '../../core/goals';
import type { HomeAnswer, HomeRequest } from '../../contract/routes';
import type { Route } from '../../core/routes';
import type { ImportKind } from '../../contract/reportFields';
import type { SettledWindow } from '../../core/windows';
import type { OverviewParts } from '../../plans/field';
import { ApiError, ask, askColumns, asking, query, send } from './ask';
import { wordsApi } from './askWords/wordsApi';
import { bidsApi } from './bids/bidsApi';
import { hoursApi } from './hours/hoursApi';
import { moneyApi } from './money/moneyApi';
import { peopleApi } from './people/peopleApi';
import { rankApi } from './rank/rankApi';

export { ApiError };

/** A term that is pinned to the core list of a product; `form` as matching compares it. */
interface PinnedTerm {
  productId: number;
  form: string;
  term: string;
}

export const api = {
  ...moneyApi,
  ...bidsApi,
  ...wordsApi,
  ...hoursApi,
  ...rankApi,
  ...peopleApi,
  accounts: () => ask<AccountInfo[]>('/api/accounts'),
  accountList: () => ask<AccountLine[]>('/api/accounts/list'),
  health: () => ask<Health>('/api/health'),
  createAccount: (account: NewAccount) => ask<AccountInfo>('/api/accounts', send('POST', account)),
  setTarget: (id: number, targetAcos: number) =>
    ask<AccountInfo>(`/api/accounts/${id}`, send('PATCH', { targetAcos })),
  changeChoices: (request: ChoicesRequest) => ask<ChoicesAnswer>('/api/choices', send('PUT', request)),
  takeChoicesBack: (account: number) =>
    ask<ChoicesAnswer>(`/api/choices?${query({ account })}`, { method: 'DELETE' }),
  review: async (account: number, from?: string, to?: string): Promise<ReviewData> => {
    const review = await askColumns<ReviewColumns>(`/api/review?${query({ account, from, to })}`);
    const { structure } = review;
    return { ...review, structure: { ...structure, targets: toTargets(structure.targets) } };
  },
  window: (account: number, from?: string, to?: string) =>
    ask<SettledWindow>(`/api/window?${query({ account, from, to })}`),
  termDays: (account: number, adGroup: number, term: number, from: string, to: string) =>
    ask<TermDays>(`/api/term-days?${query({ account, adGroup, term, from, to })}`),
  revision: (account: number) => ask<RevisionAnswer>(`/api/revision?${query({ account })}`),
  aside: (account: number) => ask<{ aside: Aside[] }>(`/api/aside?${query({ account })}`),
  putAside: (request: AsideRequest) =>
    ask<{ count: number; until: string }>('/api/aside', send('POST', request)),
  changes: (account: number, only: { state?: ChangeState; bale?: number }) =>
    ask<ChangeInfo[]>(`/api/changes?${query({ account, ...only })}`),
  stage: (account: number, changes: NewChange[]) =>
    ask<{ ids: (number | null)[] }>('/api/changes', send('POST', { account, changes })),
  withdraw: (account: number, ids: number[]) =>
    ask<{ ids: number[] }>('/api/changes/withdraw', send('POST', { account, ids })),
  undo: (account: number, ids: number[], changed?: 'leave' | 'set-back') =>
    ask<UndoAnswer>('/api/changes/undo', send('POST', { account, ids, changed })),
  setValues: (account: number, values: { id: number; value: number }[]) =>
    ask<{ ids: number[] }>('/api/changes/values', send('POST', { account, values })),
  goFromPresent: (account: number, ids: number[]) =>
    ask<{ ids: number[] }>('/api/changes/from-present', send('POST', { account, ids })),
  readChangeFile: (account: number, file: Blob) =>
    ask<FileDifferences>(`/api/changes/file?${query({ account })}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: file,
    }),
  baleEffects: (account: number, bale: number) =>
    ask<BaleEffects>(`/api/effects?${query({ account, bale })}`),
  purposeEffects: (account: number) => ask<PurposeEffects>(`/api/effects?${query({ account })}`),
  bales: (account: number) => ask<BaleInfo[]>(`/api/bales?${query({ account })}`),
  sendBale: (account: number, ids: number[]) => ask<SendResult>('/api/bales', send('POST', { account, ids })),
  carryOut: (request: CarriedOutRequest) =>
    ask<{ baleId: number }>('/api/bales/carried-out', send('POST', request)),
  settleBale: (account: number, id: number, as: Settling) =>
    ask<{ changes: number }>(`/api/bales/${id}/settle`, send('POST', { account, as })),
  retryBale: (account: number, id: number) =>
    ask<{ trouble: string }>(`/api/bales/${id}/retry?${query({ account })}`, { method: 'POST' }),
  sync: (account: number) => ask<SyncInfo>(`/api/sync?${query({ account })}`),
  startSync: (account: number) => ask<{ jobId: number }>('/api/sync', send('POST', { account })),
  advance: (account: number, days: number) =>
    ask<{ jobId: number }>('/api/advance', send('POST', { account, days })),
  cancelJob: (account: number, id: number) =>
    ask<{ state: string }>('/api/jobs/cancel', send('POST', { account, id })),
  tree: async (account: number, targets: TreeQuery['targets'] = 'all'): Promise<AccountTree> => {
    const tree = await askColumns<AccountTreeColumns>(`/api/tree?${query({ account, targets })}`);
    return { ...tree, targets: toTargets(tree.targets) };
  },
  fieldSums: (account: number, grain: LensGrain, asked: AskedWindow) =>
    askColumns<FieldSumsAnswer>(`/api/field?${query({ account, grain, ...asked })}`),
  rowDays: (rows: RowsRequest) => ask<RowDaysAnswer>('/api/days', asking(rows)),
  periods: (request: PeriodsRequest) => ask<RowPeriodColumns>('/api/periods', asking(request)),
  sparks: (rows: RowsRequest) => ask<SparksAnswer>('/api/sparks', asking(rows)),
  history: (
    account: number,
    from: string,
    of: { targetId?: number; adGroupId?: number; campaignId?: number },
  ) => ask<HistoryAnswer>(`/api/history?${query({ account, from, ...of })}`),
  suggestBids: (account: number, ids: number[]) =>
    ask<SuggestionsAnswer>('/api/suggestions', asking({ account, ids })),
  savePlan: (request: PlanRequest) => ask<PlanAnswer>('/api/build', send('POST', request)),
  /** Throws a plan of campaigns away, or takes it back. */
  throwPlan: (account: number, id: number, back = false) =>
    ask<{ id: number }>('/api/build/plan', send('DELETE', { account, id, back })),
  /** Takes a picture of ads out of what can be chosen, or back. */
  putPicture: (request: PictureRequest) => ask<AdsAnswer>('/api/ads/picture', send('PUT', request)),
  rules: (account: number) => ask<RulesAnswer>(`/api/rules?${query({ account })}`),
  saveRule: (request: RuleRequest) => ask<RulesAnswer>('/api/rules', send('POST', request)),
  putGrowthCampaigns: (request: GrowthCampaignsRequest) =>
    ask<GrowthInfo>('/api/growth/campaigns', send('POST', request)),
  /** Takes a rule away, or brings it back switched off. */
  putRule: (account: number, id: number, back: boolean) =>
    ask<RulesAnswer>('/api/rules', send('DELETE', { account, id, back })),
  suggestNew: (account: number, targets: NewTarget[]) =>
    ask<SuggestionsAnswer>('/api/suggestions', asking({ account, targets })),
  routes: (account: number) => ask<{ routes: Route[] }>(`/api/routes?${query({ account })}`),
  keepRoutes: (account: number, routes: readonly Route[]) =>
    ask<{ routes: Route[] }>('/api/routes', send('PUT', { account, routes })),
  makeHome: (request: HomeRequest) => ask<HomeAnswer>('/api/routes/home', send('POST', request)),
  wordLists: (account: number) => ask<{ lists: WordLists }>(`/api/word-lists?${query({ account })}`),
  keepWordLists: (account: number, lists: WordLists) =>
    ask<{ lists: WordLists }>('/api/word-lists', send('PUT', { account, lists })),
  negativeLists: (account: number) =>
    ask<{ lists: NegativeListInfo[] }>(`/api/negative-lists?${query({ account })}`),
  keepNegativeList: (request: NegativeListRequest) =>
    ask<{ id: number }>('/api/negative-lists', send('PUT', request)),
  removeNegativeList: (account: number, id: number) =>
    ask<{ removed: boolean }>(`/api/negative-lists?${query({ account, id })}`, { method: 'DELETE' }),
  pinnedTerms: (account: number) => ask<{ pinned: PinnedTerm[] }>(`/api/core-terms?${query({ account })}`),
  pinTerm: (account: number, productId: number, term: string) =>
    ask<PinnedTerm>('/api/core-terms', send('PUT', { account, productId, term })),
  unpinTerm: (account: number, productId: number, term: string) =>
    ask<{ removed: boolean }>('/api/core-terms', send('DELETE', { account, productId, term })),
  notes: (account: number, subject: string) =>
    ask<{ notes: Note[] }>(`/api/notes?${query({ account, subject })}`),
  addNote: (account: number, subject: string, text: string) =>
    ask<{ id: number }>('/api/notes', send('POST', { account, subject, text })),
  removeNote: (account: number, id: number) =>
    ask<{ removed: boolean }>(`/api/notes?${query({ account, id })}`, { method: 'DELETE' }),
  swaths: (account: number) => ask<Swath[]>(`/api/swaths?${query({ account })}`),
  keepSwath: (account: number, swath: Omit<Swath, 'id'>) =>
    ask<Swath>('/api/swaths', send('PUT', { account, ...swath })),
  removeSwath: (account: number, id: number) =>
    ask<{ removed: boolean }>(`/api/swaths?${query({ account, id })}`, { method: 'DELETE' }),
  overviewParts: (account: number, asked: AskedWindow) =>
    ask<OverviewParts>(`/api/overview/parts?${query({ account, ...asked })}`),
  overview: (account: number, asked: AskedWindow) =>
    ask<OverviewAnswer>(`/api/overview?${query({ account, ...asked })}`),
  products: (account: number) => ask<ProductsAnswer>(`/api/products?${query({ account })}`),
  setCosts: (account: number, id: number, costs: ProductCosts) =>
    ask<{ kept: boolean }>(`/api/products/${id}`, send('PUT', { account, costs })),
  goals: (account: number) => ask<GoalsAnswer>(`/api/goals?${query({ account })}`),
  setGoal: (account: number, goal: Goal) =>
    ask<{ kept: boolean }>('/api/goals', send('PUT', { account, ...goal })),
  removeGoal: (account: number, scope: Goal['scope'], scopeId: number) =>
    ask<{ removed: boolean }>('/api/goals', send('DELETE', { account, scope, scopeId })),
  imports: (account: number) => ask<ImportAnswer[]>(`/api/imports?${query({ account })}`),
  summed: (account: number) => ask<SummedInfo[]>(`/api/summed?${query({ account })}`),
  removeSum: (account: number, kind: string, from: string) =>
    ask<{ removed: number }>(`/api/summed?${query({ account, kind, from })}`, { method: 'DELETE' }),
  matchHeadings: (account: number, importId: number, matched: Record<string, string>) =>
    ask<{ kept: boolean }>(
      `/api/imports/${importId}/mapping?${query({ account })}`,
      send('PUT', { matched }),
    ),
};

/** Address of a file with an account's data, in the format in which it is taken in. */
export const exportLink = (account: number, kind: ImportKind, format: 'csv' | 'xlsx') =>
  `/api/export?${query({ account, kind, format })}`;

/** A table as a file: the answer is saved under the name that the server gives it. */
export async function saveTable(
  format: 'csv' | 'xlsx',
  table: { name: string; headings: string[]; rows: (string | number | null)[][] },
): Promise<void> {
  const answer = await fetch(`/api/table-file?format=${format}`, send('POST', table));
  if (!answer.ok) {
    const body = readJson(await answer.text()) as ErrorAnswer | null;
    throw new ApiError(body?.error.code ?? 'no-answer', body?.error.message ?? 'The file could not be made.');
  }
  const name = /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '')?.[1];
  saveBlob(await answer.blob(), name ?? `table.${format}`);
}

/** Has the browser save something as a file. */
export function saveBlob(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** What the sender of a file says of it: the line that holds its headings, the days that it sums up. */
export interface FileSaid {
  headingLine?: number;
  decimals?: 'point' | 'comma';
  dayOrder?: 'day-first' | 'month-first';
  from?: string;
  to?: string;
}

/** Uploads a report; `onProgress` gets the bytes sent. (fetch cannot tell upload progress.) */
export function uploadReport(
  account: number,
  kind: ImportKind,
  file: File,
  said: FileSaid,
  onProgress: (sent: number) => void,
): Promise<ImportAnswer> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('POST', `/api/imports?${query({ account, kind, name: file.name, ...said })}`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.onprogress = (event) => onProgress(event.loaded);
    request.onerror = () =>
      reject(new ApiError('no-answer', 'The upload was cut off. Nothing was taken in. Send the file again.'));
    request.onload = () => {
      const body = readJson(request.responseText) as ImportAnswer | ErrorAnswer | null;
      if (body && !('error' in body)) resolve(body);
      else
        reject(
          new ApiError(
            body?.error.code ?? 'no-answer',
            body?.error.message ?? `The upload failed (${request.status}).`,
          ),
        );
    };
    request.send(file);
  });
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
