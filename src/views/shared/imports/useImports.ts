import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { ImportAnswer } from '../../../contract/api';
import type { ImportKind } from '../../../contract/reportFields';
import type { FileSaid } from '../api';
import { api, uploadReport } from '../api';

/** A file on its way to the server. */
export interface Upload {
  name: string;
  size: number;
  sent: number;
  startedAt: number;
}

const isRunning = ({ state }: ImportAnswer) => state === 'reading' || state === 'writing';

/** The imports of an account, and uploading another one. */
export function useImports(account: number | undefined) {
  const client = useQueryClient();
  const [upload, setUpload] = useState<Upload | null>(null);
  const [file, setFile] = useState<File | null>(null);
  const [kind, setKind] = useState<ImportKind>('terms');
  const [answer, setAnswer] = useState<ImportAnswer | null>(null);
  const [fault, setFault] = useState('');
  const [isMatching, setMatching] = useState(false);
  const list = useQuery({
    queryKey: ['imports', account],
    queryFn: () => api.imports(account!),
    enabled: account !== undefined,
    // Also imports started elsewhere, or before this page was opened, are followed.
    refetchInterval: (query) => (upload !== null || query.state.data?.some(isRunning) ? 800 : 15_000),
  });
  const refresh = () =>
    client.invalidateQueries({
      predicate: ({ queryKey }) =>
        ['imports', 'accounts', 'products', 'goals', 'sync', 'summed'].includes(String(queryKey[0])),
    });

  useEffect(() => {
    if (!upload) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener('beforeunload', warn);
    return () => removeEventListener('beforeunload', warn);
  }, [upload]);

  async function take(next: File, said: FileSaid = {}) {
    if (account === undefined || upload) return;
    setFile(next);
    setFault('');
    setAnswer(null);
    setMatching(false);
    const start = { name: next.name, size: next.size, sent: 0, startedAt: Date.now() };
    setUpload(start);
    try {
      setAnswer(await uploadReport(account, kind, next, said, (sent) => setUpload({ ...start, sent })));
    } catch (error) {
      setFault((error as Error).message);
    } finally {
      setUpload(null);
      await refresh();
    }
  }

  async function match(importId: number, matched: Record<string, string>) {
    try {
      await api.matchHeadings(account!, importId, matched);
      if (file) await take(file);
    } catch (error) {
      setFault((error as Error).message);
    }
  }

  /** The file again, with what its sender says of it. */
  const takeAgain = async (said: FileSaid) => {
    if (file) await take(file, said);
  };

  return {
    kind,
    setKind,
    list: list.data ?? [],
    error: list.error,
    upload,
    running: list.data?.find(isRunning) ?? null,
    answer,
    fault,
    mapping: answer && (answer.state === 'needs-mapping' || isMatching) ? answer : null,
    setMatching,
    take,
    takeAgain,
    match,
  };
}

export type ImportsState = ReturnType<typeof useImports>;
