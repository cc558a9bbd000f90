import { useMemo, useState } from 'react';
import { termSubject } from '../../../contract/aside';
import { TERM_STEPS } from '../../../contract/review';
import { gainOf } from '../../../core/harvest';
import { pendingKeys, toChanges } from '../../../plans/terms';
import type { LoadedReview, Proposal } from '../../../plans/terms';
import type { BlockReach, NegativeReach } from '../../../core/negatives';
import { useTell } from '../../shared/useTell';
import { useDecisions } from '../decisions/useDecisions';
import type { Decisions } from '../decisions/useDecisions';
import type { WorkAt } from '../steps/step';
import { useStepRows } from '../useStepRows';
import { sourceOf } from './sourceOf';
import { keysOf, termsAsked, withoutDecided } from './termsAsked';
import { useArranged, useReview } from './useReview';

/** Changes by hand to a proposal, before it is accepted. */
export type Edit = Partial<{
  bid: number;
  homeId: number;
  block: NegativeReach | 'nowhere';
  match: 'exact' | 'phrase' | 'broad' | 'item';
  reach: BlockReach;
}>;

/** What is decided on the rows of a step, by their numbers in the table. */
function byRow(review: LoadedReview | undefined, queue: Decisions<Edit>) {
  const subjectOf = (row: number) => termSubject(review!.table.adGroupId[row], review!.table.termId[row]);
  const subjectsOf = (rows: readonly number[]) => (review ? rows.map(subjectOf) : []);
  return {
    subjectOf,
    /** A proposal as it stands after what was edited by hand. */
    edited: (proposal: Proposal): Proposal => {
      const own = queue.edits.get(subjectOf(proposal.row));
      if (!own) return proposal;
      const changed = { ...proposal, ...own } as Proposal;
      return changed.step === 'harvest' ? { ...changed, gain: gainOf(changed) } : changed;
    },
    edit: (row: number, changes: Edit) =>
      queue.edit(subjectOf(row), { ...queue.edits.get(subjectOf(row)), ...changes }),
    leave: (rows: readonly number[]) => queue.put(subjectsOf(rows), 'left'),
    later: (rows: readonly number[]) => queue.put(subjectsOf(rows), 'later'),
    takeBack: (rows: readonly number[]) => queue.takeBack(subjectsOf(rows)),
  };
}

export type TermDecisions = ReturnType<typeof byRow>;

/** The search terms of the steps that go through them, with everything that is decided on them. */
export function useTermWork({ account, state, tray, isWanted }: WorkAt) {
  const loaded = useReview(account, state.from, state.to, isWanted);
  const { engine, review } = loaded;
  const asked = termsAsked(state.step, state, state.settings);
  const { step } = asked;
  const tell = useTell();
  const [editing, setEditing] = useState<number | null>(null);
  const queues = {
    harvest: useDecisions<Edit>(account, { name: 'harvest', noun: 'term' }, tray),
    negatives: useDecisions<Edit>(account, { name: 'negatives', noun: 'term' }, tray),
  };
  const queue = queues[step];
  const decisions = useMemo(() => byRow(review, queue), [review, queue]);
  const pending = useMemo(
    () => pendingKeys([...tray.changes, ...tray.sending]),
    [tray.changes, tray.sending],
  );
  const [harvested, blocked] = TERM_STEPS.map((name) => queues[name].underWay);
  const staged = useMemo(
    () => new Set([...pending, ...keysOf('harvest', harvested), ...keysOf('negatives', blocked)]),
    [pending, harvested, blocked],
  );
  const { arranged, isCurrent, error } = useArranged(
    loaded,
    withoutDecided(asked, staged, (name) => queues[name].aside.keys()),
  );
  const source = useMemo(() => (review ? sourceOf(review) : null), [review]);
  const view = useStepRows(arranged?.rows, source, step);

  const proposalsFor = async (list: number[]) => {
    const known = list.map((row) => arranged?.proposals.get(row));
    const missing = list.filter((_, at) => known[at] === undefined);
    const made =
      missing.length > 0 ? await engine.propose(review!.loadId, step, missing, state.settings) : [];
    return list.map((row, at) => known[at] ?? made.find((one) => one.row === row)!);
  };
  const accept = async (list: number[]) => {
    if (!review) return;
    const ready = (await proposalsFor(list)).flatMap((proposal) => {
      const changes = toChanges(decisions.edited(proposal), review, state.settings.targetAcos);
      return changes ? [{ subject: decisions.subjectOf(proposal.row), changes }] : [];
    });
    const homeless = list.length - ready.length;
    if (homeless > 0)
      tell(
        `${homeless} ${homeless === 1 ? 'term' : 'terms'} without a home: choose one in the panel on the right (e).`,
        { kind: 'warning' },
      );
    view.rows.clearSelection();
    await queue.accept(ready);
  };
  return {
    engine,
    review,
    step,
    editing,
    setEditing,
    decisions,
    arranged,
    isCurrent,
    list: JSON.stringify([review?.loadId, asked]),
    error,
    view,
    accept,
    asideCount: queue.aside.size,
    stagedKeys: staged,
    hasData: !review || review.table.size > 0,
    left: arranged?.steps ?? [],
    staged: Object.fromEntries(
      TERM_STEPS.map((name) => [name, [...staged].filter((key) => key.startsWith(`${name}:`)).length]),
    ) as Record<string, number>,
  };
}

export type TermWork = ReturnType<typeof useTermWork>;
