import type { BlockScope, NegativeScope } from '../../../core/negatives';
import { gainOf } from '../../../core/harvest';
import { useQueryClient } from '@tanstack/react-query';
import { useSnackbar } from 'notistack';
import { useRef, useState } from 'react';
import type { NewChange } from '../../../contract/changes';
import type { PutAside, StepName } from '../../../contract/review';
import { api } from '../../shared/api';
import type { TrayState } from '../../shared/tray/useTray';
import { joinChanges, rowKey, toChanges } from '../../../plans/terms';
import type { LoadedReview, Proposal } from '../../../plans/terms';

/** Changes by hand to a proposal, before it is accepted. */
export type Edit = Partial<{
  bid: number;
  homeId: number;
  block: NegativeScope | 'nowhere';
  match: 'exact' | 'phrase' | 'broad' | 'item';
  scope: BlockScope;
}>;

type Rows = { adGroupId: number; termId: number }[];
type Done = { kind: 'accepted'; ids: number[] } | { kind: 'aside'; step: StepName; rows: Rows };

const plural = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;

/** Accept, leave, later, undo, edit: what the specialist decides on rows. */
export function useDecisions(
  review: LoadedReview | undefined,
  step: StepName,
  tray: TrayState,
  targetAcos: number,
) {
  const { enqueueSnackbar } = useSnackbar();
  const client = useQueryClient();
  const [edits, setEdits] = useState<Map<string, Edit>>(new Map());
  const [aside, setAside] = useState<PutAside[] | null>(null);
  // Rows whose acceptance is on its way: they leave the queue at once, so that a quick second key meets the next row.
  const [underWay, setUnderWay] = useState<string[]>([]);
  const done = useRef<Done[]>([]);
  const putAside = aside ?? review?.putAside ?? [];
  const tell = (text: string, variant: 'default' | 'warning' | 'error' = 'default') =>
    enqueueSnackbar(text, { variant, autoHideDuration: variant === 'default' ? 2500 : 8000 });

  const keyOf = (row: number) => rowKey(step, review!.table.adGroupId[row], review!.table.termId[row]);
  const idsOf = (rows: number[]): Rows =>
    rows.map((row) => ({ adGroupId: review!.table.adGroupId[row], termId: review!.table.termId[row] }));
  const edited = (proposal: Proposal): Proposal => {
    const own = edits.get(keyOf(proposal.row));
    if (!own) return proposal;
    const changed = { ...proposal, ...own } as Proposal;
    return changed.step === 'harvest' ? { ...changed, gain: gainOf(changed) } : changed;
  };

  async function accept(proposals: Proposal[]) {
    if (!review) return;
    const lists = proposals.map((proposal) => toChanges(edited(proposal), review, targetAcos));
    const ready = lists.filter((list): list is NewChange[] => list !== null);
    if (ready.length < lists.length)
      tell(
        `${plural(lists.length - ready.length, 'term')} without a home: choose one in the panel on the right (e).`,
        'warning',
      );
    if (ready.length === 0) return;
    const keys = proposals.filter((_, at) => lists[at] !== null).map(({ row }) => keyOf(row));
    setUnderWay((old) => [...old, ...keys]);
    const { ids } = await tray.stage
      .mutateAsync(joinChanges(ready))
      .finally(() => setUnderWay((old) => old.filter((key) => !keys.includes(key))));
    const staged = ids.filter((id): id is number => id !== null);
    if (staged.length < ids.length)
      tell(`${plural(ids.length - staged.length, 'change')} staged or under way already.`, 'warning');
    if (staged.length > 0) done.current.push({ kind: 'accepted', ids: staged });
  }

  async function setVerdict(rows: Rows, verdict: 'left' | 'later' | 'back', of: StepName) {
    if (!review) return;
    const keys = new Set(rows.map((row) => rowKey(of, row.adGroupId, row.termId)));
    const rest = putAside.filter((one) => !keys.has(rowKey(one.step, one.adGroupId, one.termId)));
    setAside(
      verdict === 'back' ? rest : [...rest, ...rows.map((row) => ({ step: of, ...row, verdict, until: '' }))],
    );
    try {
      await api.putAside(review.account.id, of, verdict, rows);
    } catch (error) {
      setAside(putAside);
      tell((error as Error).message, 'error');
    }
  }

  async function put(rows: number[], verdict: 'left' | 'later') {
    if (rows.length === 0) return;
    done.current.push({ kind: 'aside', step, rows: idsOf(rows) });
    await setVerdict(idsOf(rows), verdict, step);
    tell(
      `${plural(rows.length, 'term')} ${verdict === 'left' ? 'left for 30 days' : 'put off for a week'}. u takes it back.`,
    );
  }

  async function undo() {
    const last = done.current.pop();
    if (!last) return tell('Nothing to undo on this page.');
    if (last.kind === 'accepted') {
      await tray.withdraw.mutateAsync(last.ids);
      tell(`${plural(last.ids.length, 'change')} taken out of the tray.`);
    } else {
      await setVerdict(last.rows, 'back', last.step);
      tell(`${plural(last.rows.length, 'term')} back in the queue.`);
    }
    await client.invalidateQueries({ queryKey: ['changes'] });
  }

  const edit = (row: number, changes: Edit) =>
    setEdits((old) => new Map(old).set(keyOf(row), { ...old.get(keyOf(row)), ...changes }));

  return {
    asideKeys: putAside.map((one) => rowKey(one.step, one.adGroupId, one.termId)),
    underWay,
    edited,
    edit,
    accept: (proposals: Proposal[]) => accept(proposals).catch(() => {}),
    leave: (rows: number[]) => put(rows, 'left'),
    later: (rows: number[]) => put(rows, 'later'),
    takeBack: (rows: number[]) => setVerdict(idsOf(rows), 'back', step),
    undo: () => undo().catch(() => {}),
  };
}

export type Decisions = ReturnType<typeof useDecisions>;
