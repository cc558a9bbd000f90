import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../useTell';
import { useEffect, useMemo, useRef, useState } from 'react';
import { findConflicts, sumExpected } from '../../../core/changes';
import type { NewChange } from '../../../contract/changes';
import { api } from '../api';
import { queryKeys } from '../queryKeys';
import { useRevision } from '../revision';
import { useUndo } from '../undo/useUndo';
import { changeCount } from './money';
import { stageAgain } from './stageAgain';
import { undoStaging } from './undoStaging';

const NOTHING: never[] = [];

/** What others stage, edit or take out is shown as soon as it is known. */
function useOthers(account: number | undefined) {
  const client = useQueryClient();
  const mark = useRevision(account)?.tray;
  const shown = useRef<{ account?: number; mark?: string }>({});
  useEffect(() => {
    const isNews = shown.current.account === account && shown.current.mark !== mark;
    if (mark === undefined) return;
    if (isNews) void client.invalidateQueries({ queryKey: queryKeys.changes(account, 'staged') });
    shown.current = { account, mark };
  }, [client, account, mark]);
}

/** What the server has staged and the page has not read back: thousands take a second. */
function useArrived(changes: readonly { id: number }[]) {
  const [ids, setIds] = useState<ReadonlySet<number>>(new Set());
  const count = useMemo(() => {
    if (ids.size === 0) return 0;
    const known = new Set(changes.map(({ id }) => id));
    return [...ids].filter((id) => !known.has(id)).length;
  }, [ids, changes]);
  const staged = (list: readonly (number | null)[]) => list.filter((id) => id !== null);
  return {
    count,
    add: (list: readonly (number | null)[]) => setIds((old) => new Set([...old, ...staged(list)])),
    drop: (list: readonly (number | null)[]) => {
      const gone = new Set(staged(list));
      setIds((old) => new Set([...old].filter((id) => !gone.has(id))));
    },
  };
}

/** The tray of an account: what is staged, and what can be done with it. */
export function useTray(account: number | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account);
  const staged = useQuery({
    queryKey: queryKeys.changes(account, 'staged'),
    queryFn: () => api.changes(account!, { state: 'staged' }),
    enabled: account !== undefined,
  });
  useOthers(account);
  const sending = useQuery({
    queryKey: queryKeys.changes(account, 'sending'),
    queryFn: () => api.changes(account!, { state: 'sending' }),
    enabled: account !== undefined,
    refetchInterval: (query) => (query.state.data?.length ? 3000 : false),
  });
  const refresh = () =>
    client.invalidateQueries({
      predicate: ({ queryKey }) => ['changes', 'bales'].includes(String(queryKey[0])),
    });
  const fail = (error: Error) => tell(error.message, { kind: 'fault' });
  const changes = staged.data ?? NOTHING;
  const effect = useMemo(() => sumExpected(changes.map((one) => one.effect)), [changes]);
  const conflicts = useMemo(() => findConflicts(changes), [changes]);

  const arrived = useArrived(changes);
  const stage = useMutation({
    // It can be undone as soon as the server has it, not when it is read back: the page may be left in between.
    mutationFn: (list: NewChange[]) =>
      undo.during(
        api.stage(account!, list).then((answer) => {
          const staged = undoStaging(answer.ids, changes);
          if (staged) undo.did(staged, { isQuiet: true });
          return answer;
        }),
      ),
    onSuccess: ({ ids }) => arrived.add(ids),
    onError: fail,
    onSettled: async (answer) => {
      await refresh();
      if (answer) arrived.drop(answer.ids);
    },
  });
  const withdraw = useMutation({
    mutationFn: (ids: number[]) => undo.during(api.withdraw(account!, ids)),
    onSuccess: ({ ids }) => {
      // What waits for a change goes with it, and comes back with it.
      const gone = new Set(ids);
      const taken = stageAgain(changes.filter(({ id }) => gone.has(id)));
      if (taken.length > 0)
        undo.did({
          words: `${changeCount(taken.length)} taken out of the tray`,
          undoing: { kind: 'stage', changes: taken },
        });
    },
    onError: fail,
    onSettled: refresh,
  });
  const setValues = useMutation({
    mutationFn: (values: { id: number; value: number }[]) => api.setValues(account!, values),
    onError: fail,
    onSettled: refresh,
  });
  const goFromPresent = useMutation({
    mutationFn: (ids: number[]) => api.goFromPresent(account!, ids),
    onError: fail,
    onSettled: refresh,
  });
  const send = useMutation({
    mutationFn: () =>
      api.sendBale(
        account!,
        changes.map(({ id }) => id),
      ),
    onError: fail,
    onSettled: refresh,
  });
  const under = sending.data ?? NOTHING;
  const { isLoading } = staged;
  const isStaging = stage.isPending || (staged.isFetching && !stage.isIdle);
  const acts = [stage, withdraw, setValues, goFromPresent, send].map(({ status }) => status).join(' ');
  // The same while it holds the same and nothing is done with it: every place is drawn from it.
  return useMemo(
    () => ({
      changes,
      /** Of all that is staged: also of what was not read back yet. */
      count: changes.length + arrived.count,
      sending: under,
      effect,
      isLoading,
      /** Being put into it. */
      isAdding: stage.isPending,
      /** What was accepted is on its way into the tray: it is not all there yet. */
      isStaging,
      stage,
      withdraw,
      setValues,
      goFromPresent,
      conflicts,
      send,
      refresh,
    }),
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- what acts hold moves with their states; they do the same for one account
    [account, changes, arrived.count, under, effect, isLoading, isStaging, conflicts, acts],
  );
}

export type TrayState = ReturnType<typeof useTray>;
