import { useMemo, useState } from 'react';
import type { Area } from '../../../charts';
import type { StepName } from '../../../contract/review';
import { pointsOf, rowsInArea } from '../../shared/picture/points';
import { pendingKeys } from '../../../plans/terms';
import { useRows } from '../../shared/useRows';
import type { TrayState } from '../../shared/tray/useTray';
import { isBidStep } from '../../../contract/review';
import type { RoundState } from '../useRoundState';
import { sourceOf } from './sourceOf';
import { useDecisions } from './useDecisions';
import { useArranged } from './useReview';
import type { ReviewState } from './useReview';

/** The search terms of a step with everything that is decided on them. */
export function useTermWork(loaded: ReviewState, state: RoundState, tray: TrayState) {
  const { engine, review } = loaded;
  // Beside the steps that tune bids the terms are arranged all the same: the list of steps tells how many are left.
  const step: StepName = isBidStep(state.step) ? 'harvest' : state.step;
  const isShown = !isBidStep(state.step);
  const [area, setArea] = useState<Area | null>(null);
  const [editing, setEditing] = useState<number | null>(null);
  const decisions = useDecisions(review, step, tray, state.settings.targetAcos);
  const stagedKeys = [
    ...new Set([...pendingKeys([...tray.changes, ...tray.sending]), ...decisions.underWay]),
  ];
  const { arranged, isCurrent, error } = useArranged(loaded, {
    step,
    show: isShown ? state.show : 'proposed',
    settings: state.settings,
    conditions: isShown ? state.conditions : [],
    sort: isShown ? (state.sort as never) : null,
    staged: stagedKeys,
    aside: decisions.asideKeys,
  });
  const shown = useMemo(
    () =>
      arranged && review && area
        ? rowsInArea(arranged.rows, sourceOf(review), area)
        : (arranged?.rows ?? NO_ROWS),
    [arranged, review, area],
  );
  const rows = useRows(shown, step);
  const points = useMemo(
    () => (arranged && review ? pointsOf(arranged.rows, sourceOf(review)) : null),
    [arranged, review],
  );

  const proposalsFor = async (list: number[]) => {
    const known = list.map((row) => arranged?.proposals.get(row));
    const missing = list.filter((_, at) => known[at] === undefined);
    const made =
      missing.length > 0 ? await engine.propose(review!.loadId, step, missing, state.settings) : [];
    return list.map((row, at) => known[at] ?? made.find((one) => one.row === row)!);
  };
  const accept = async (list: number[]) => {
    await decisions.accept(await proposalsFor(list));
    rows.clearSelection();
  };
  return {
    engine,
    review,
    step,
    area,
    setArea,
    editing,
    setEditing,
    decisions,
    arranged,
    isCurrent,
    error,
    shown,
    rows,
    points,
    accept,
    stagedKeys: new Set(stagedKeys),
    staged: (of: StepName) => stagedKeys.filter((key) => key.startsWith(`${of}:`)).length,
  };
}

export type TermWork = ReturnType<typeof useTermWork>;

const NO_ROWS = new Int32Array();
