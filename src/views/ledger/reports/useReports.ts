import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { NewReport, ReportTemplate } from '../../../contract/report';
import { reportsApi } from './reportsApi';
import { useTell } from '../../shared/useTell';

/** Kept reports, templates and links of an account, and what can be done with them. */
export function useReports(account: number) {
  const client = useQueryClient();
  const tell = useTell();
  const key = ['reports', account];
  const { data, error } = useQuery({ queryKey: key, queryFn: () => reportsApi.list(account) });
  const settled = {
    onError: (fault: Error) => tell(fault.message, { kind: 'fault' as const }),
    onSettled: () => client.invalidateQueries({ queryKey: key }),
  };
  const make = useMutation({ mutationFn: (asked: NewReport) => reportsApi.make(asked), ...settled });
  const keep = useMutation({
    mutationFn: (template: Omit<ReportTemplate, 'id'> & { id?: number }) =>
      reportsApi.keepTemplate(account, template),
    onSuccess: (_, { name }) => tell(`The template “${name}” is kept.`),
    ...settled,
  });
  const forget = useMutation({
    mutationFn: (id: number) => reportsApi.removeTemplate(account, id),
    ...settled,
  });
  const remove = useMutation({ mutationFn: (id: number) => reportsApi.remove(account, id), ...settled });
  const share = useMutation({
    mutationFn: ({ report, until }: { report: number; until: string }) =>
      reportsApi.share(account, report, until),
    ...settled,
  });
  const takeBack = useMutation({
    mutationFn: (id: number) => reportsApi.takeLinkBack(account, id),
    onSuccess: () => tell('The link shows nothing any more.'),
    ...settled,
  });
  return { answer: data, error, make, keep, forget, remove, share, takeBack };
}

export type ReportsState = ReturnType<typeof useReports>;
