import { useMemo } from 'react';
import { daysIn } from '../../core/units';
import type { LoadedLens } from '../../plans/field';
import type { AccountInfo } from '../../contract/api';
import type { NewChange } from '../../contract/changes';
import type { TrayState } from '../shared/tray/useTray';
import { newChange, planMove, planState, stagedOf, valueChange } from '../../plans/byHand';

/** Changes made by hand on the rows of a lens: staged, stepped, taken back. */
export function useHandWork(
  account: AccountInfo | undefined,
  { table, window }: Pick<LoadedLens, 'table' | 'window'>,
  tray: TrayState,
) {
  const days = daysIn(window.from, window.to);
  const { changes, sending } = tray;
  const staged = useMemo(() => stagedOf([...sending, ...changes]), [changes, sending]);
  const stage = (list: NewChange[]) => {
    if (list.length > 0) tray.stage.mutate(list);
  };
  return {
    staged,
    stage,
    setValue: (row: number, to: number) => {
      const change = valueChange(table, row, to);
      if (change && 'from' in change && change.from !== to)
        stage([newChange(table, row, change, 'By hand.', days)]);
    },
    nudge: (rows: number[], by: number) => {
      if (!account) return;
      const options = {
        limits: account.limits,
        staged,
        suggested: new Map(),
        wanted: new Map(),
        days,
        againToo: true,
        isNudge: true,
      };
      stage(planMove(table, rows, { kind: 'percent', by }, options).changes);
    },
    /** Pauses what runs among some rows; resumes them when nothing does. */
    pause: (rows: number[]) => {
      const pausing = planState(table, rows, 'paused', staged, days);
      stage(pausing.length > 0 ? pausing : planState(table, rows, 'enabled', staged, days));
    },
  };
}

export type HandWork = ReturnType<typeof useHandWork>;
