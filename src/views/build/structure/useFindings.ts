import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { FINDINGS_QUEUE } from '../../../contract/findings';
import type { FindingInfo, FindingsAnswer } from '../../../contract/findings';
import type { NewChange } from '../../../contract/changes';
import { formatCount } from '../../../core/units';
import { api } from '../../shared/api';
import { ask, query } from '../../shared/ask';
import { useUndo } from '../../shared/undo/useUndo';
import { useUrlState } from '../../shared/urlState';
import { useRows } from '../../shared/useRows';
import { useTell } from '../../shared/useTell';

const NONE: FindingInfo[] = [];
export const ALL = 'all';

/** What is found in an account's structure, which of it is shown, and what is decided on it. */
export function useFindings(account: AccountInfo | undefined) {
  const { values, set } = useUrlState();
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account?.id);
  const key = ['structure', account?.id, account?.revision];
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => ask<FindingsAnswer>(`/api/structure?${query({ account: account!.id })}`),
    enabled: account !== undefined,
    placeholderData: (before) => before,
  });
  const findings = data?.findings ?? NONE;
  const kind = values.get('kind') ?? ALL;
  const shown = useMemo(
    () => (kind === ALL ? findings : findings.filter((one) => one.kind === kind)),
    [findings, kind],
  );
  const places = useMemo(() => Int32Array.from(shown, (_, at) => at), [shown]);
  const rows = useRows(places, kind);
  const stale = () =>
    client.invalidateQueries({
      predicate: ({ queryKey }) => ['structure', 'changes', 'aside'].includes(String(queryKey[0])),
    });
  const fail = (fault: unknown) => tell((fault as Error).message, { kind: 'fault' });

  /** Puts what mends findings into the tray. */
  const mend = async (list: readonly FindingInfo[]) => {
    const changes = list.flatMap((one) =>
      one.mend.map((change): NewChange => ({ change, ...reasonOf(one) })),
    );
    if (changes.length === 0) return tell('These are mended in another way: their line says how.');
    try {
      const { ids } = await undo.during(api.stage(account!.id, changes));
      const staged = ids.filter((id) => id !== null);
      undo.did({
        words: `${formatCount(staged.length)} ${staged.length === 1 ? 'change' : 'changes'} put to the tray`,
        undoing: { kind: 'take-out', ids: staged },
      });
    } catch (fault) {
      fail(fault);
    }
    rows.clearSelection();
    await stale();
  };

  /** Leaves findings as they are, or puts them off. */
  const put = async (list: readonly FindingInfo[], verdict: 'left' | 'later') => {
    if (list.length === 0) return;
    const subjects = list.map(({ subject }) => subject);
    try {
      await undo.during(api.putAside({ account: account!.id, queue: FINDINGS_QUEUE, subjects, verdict }));
      undo.did({
        words: `${formatCount(list.length)} ${list.length === 1 ? 'finding' : 'findings'} ${verdict === 'left' ? 'left as is' : 'put off'}`,
        undoing: { kind: 'back-in-queue', queue: FINDINGS_QUEUE, subjects },
      });
    } catch (fault) {
      fail(fault);
    }
    rows.clearSelection();
    await stale();
  };
  return {
    data,
    error,
    findings,
    kind,
    shown,
    rows,
    setKind: (next: string) => set({ kind: next === ALL ? null : next }),
    mend,
    put,
  };
}

export type FindingsState = ReturnType<typeof useFindings>;

const reasonOf = ({ words }: FindingInfo): Omit<NewChange, 'change'> => ({
  reason: words.slice(0, 1000),
  figures: { step: 'structure' },
  effect: { spend: 0, sales: 0 },
});
