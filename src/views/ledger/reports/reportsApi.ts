import type { NewReport, ReportsAnswer, ReportTemplate } from '../../../contract/report';
import { ask, query, send } from '../../shared/ask';

/** What the part of reports asks of the server. */
export const reportsApi = {
  list: (account: number) => ask<ReportsAnswer>(`/api/reports?${query({ account })}`),
  make: (asked: NewReport) => ask<{ id: number }>('/api/reports', send('POST', asked)),
  remove: (account: number, id: number) =>
    ask<{ removed: boolean }>(`/api/reports?${query({ account, id })}`, { method: 'DELETE' }),
  keepTemplate: (account: number, template: Omit<ReportTemplate, 'id'> & { id?: number }) =>
    ask<{ id: number }>('/api/reports/templates', send('PUT', { account, ...template })),
  removeTemplate: (account: number, id: number) =>
    ask<{ removed: boolean }>(`/api/reports/templates?${query({ account, id })}`, { method: 'DELETE' }),
  share: (account: number, report: number, until: string) =>
    ask<{ id: number; until: string; path: string }>(
      '/api/reports/links',
      send('POST', { account, report, until }),
    ),
  takeLinkBack: (account: number, id: number) =>
    ask<{ removed: boolean }>(`/api/reports/links?${query({ account, id })}`, { method: 'DELETE' }),
};

/** Address of a kept report, to be looked at or saved. */
export const reportLink = (
  account: number,
  id: number,
  more: { format?: 'xlsx' | 'json'; save?: 'true' } = {},
): string => `/report/${id}?${query({ account, ...more })}`;
