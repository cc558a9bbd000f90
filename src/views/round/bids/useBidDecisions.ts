import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useSnackbar } from 'notistack';
import { useMemo, useRef, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import type { BidStepName, RoundStep } from '../../../contract/review';
import type { AsideRequest, AsideVerdict, TargetAside } from '../../../contract/bids';
import { formatDay } from '../../../core/units';
import { pendingTargets } from '../../../plans/bids';
import { api } from '../../shared/api';
import type { TrayState } from '../../shared/tray/useTray';
import { isBidStep } from '../../../contract/review';
import type { BidEdit } from '../../../plans/bids';

type Done = { kind: 'accepted'; ids: number[] } | { kind: 'aside'; targetIds: number[] };

const plural = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;
const VERDICTS: Record<AsideVerdict, string> = {
  left: 'left as it is',
  later: 'put off',
  'accepted-loss': 'accepted as a loss',
};

/** Accept, leave, later, accepted loss, undo, edit: what the specialist decides on targets. */
export function useBidDecisions(account: AccountInfo | undefined, step: BidStepName, tray: TrayState) {
  const { enqueueSnackbar } = useSnackbar();
  const client = useQueryClient();
  const [edits, setEdits] = useState<ReadonlyMap<number, BidEdit>>(new Map());
  const [underWay, setUnderWay] = useState<number[]>([]);
  const done = useRef<Done[]>([]);
  const asideKey = ['target-aside', account?.id];
  const { data } = useQuery({
    queryKey: asideKey,
    queryFn: () => api.targetAside(account!.id),
    enabled: account !== undefined,
  });
  const aside = data?.aside ?? NOTHING;
  const tell = (text: string, variant: 'default' | 'warning' | 'error' = 'default') =>
    enqueueSnackbar(text, { variant, autoHideDuration: variant === 'default' ? 2500 : 8000 });

  const pending = useMemo(() => pendingTargets([...tray.changes, ...tray.sending]), [tray]);

  async function accept(changes: NewChange[], targetIds: number[]) {
    if (changes.length === 0) return;
    setUnderWay((old) => [...old, ...targetIds]);
    const { ids } = await tray.stage
      .mutateAsync(changes)
      .finally(() => setUnderWay((old) => old.filter((id) => !targetIds.includes(id))));
    const staged = ids.filter((id): id is number => id !== null);
    if (staged.length < ids.length)
      tell(`${plural(ids.length - staged.length, 'change')} staged or under way already.`, 'warning');
    if (staged.length > 0) done.current.push({ kind: 'accepted', ids: staged });
  }

  /** Shown at once, and taken back where the server refuses it. */
  async function setAside(request: Omit<AsideRequest, 'account'>) {
    const { targetIds, verdict, until = '', note = '' } = request;
    const held = client.getQueryData<{ aside: TargetAside[] }>(asideKey);
    const rest = aside.filter(({ targetId }) => !targetIds.includes(targetId));
    const added = verdict === 'back' ? [] : targetIds.map((targetId) => ({ targetId, verdict, until, note }));
    client.setQueryData(asideKey, { aside: [...rest, ...added] });
    try {
      const { until: day } = await api.putTargetsAside({ account: account!.id, ...request });
      await client.invalidateQueries({ queryKey: asideKey });
      if (verdict === 'accepted-loss') await client.invalidateQueries({ queryKey: ['notes'] });
      return day;
    } catch (error) {
      client.setQueryData(asideKey, held);
      tell((error as Error).message, 'error');
      return null;
    }
  }

  async function put(
    targetIds: number[],
    verdict: AsideVerdict,
    more: { until?: string; note?: string } = {},
  ) {
    if (targetIds.length === 0) return;
    const day = await setAside({ targetIds, verdict, ...more });
    if (day === null) return;
    done.current.push({ kind: 'aside', targetIds });
    tell(
      `${plural(targetIds.length, 'target')} ${VERDICTS[verdict]} until ${formatDay(day)}. u takes it back.`,
    );
  }

  async function undo() {
    const last = done.current.pop();
    if (!last) return tell('Nothing to undo on this page.');
    if (last.kind === 'accepted') {
      await tray.withdraw.mutateAsync(last.ids);
      tell(`${plural(last.ids.length, 'change')} taken out of the tray.`);
    } else {
      await setAside({ targetIds: last.targetIds, verdict: 'back' });
      tell(`${plural(last.targetIds.length, 'target')} back in the queue.`);
    }
  }

  return {
    edits,
    /** Does something else with a target than what is proposed; null: what is proposed again. */
    edit: (targetId: number, edit: BidEdit | null) =>
      setEdits((old) => {
        const next = new Map(old);
        if (edit) next.set(targetId, edit);
        else next.delete(targetId);
        return next;
      }),
    aside,
    asideIds: aside.map(({ targetId }) => targetId),
    stagedIds: [...pending.keys(), ...underWay],
    /** Accepted in this tray, by step. */
    staged: countBySteps([...pending.values(), ...underWay.map(() => step)]),
    accept: (changes: NewChange[], targetIds: number[]) => accept(changes, targetIds).catch(() => {}),
    put,
    takeBack: (targetIds: number[]) => setAside({ targetIds, verdict: 'back' }),
    undo: () => undo().catch(() => {}),
  };
}

export type BidDecisions = ReturnType<typeof useBidDecisions>;

const NOTHING: TargetAside[] = [];

function countBySteps(steps: (RoundStep | undefined)[]): Record<BidStepName, number> {
  const counts = { dead: 0, over: 0, grow: 0 };
  for (const step of steps) if (step && isBidStep(step)) counts[step] += 1;
  return counts;
}
