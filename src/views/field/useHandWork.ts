import { useMemo } from 'react';
import { daysIn } from '../../core/units';
import type { LoadedLens } from '../../plans/field';
import type { AccountInfo } from '../../contract/api';
import type { NewChange } from '../../contract/changes';
import { changeCount } from '../shared/tray/money';
import { useUndo } from '../shared/undo/useUndo';
import type { TrayState } from '../shared/tray/useTray';
import { newChange, planMove, planState, stagedOf, valueChange } from '../../plans/byHand';

/** Changes made by hand on the rows of a lens: staged, stepped, taken back. */
export function useHandWork(
  account: AccountInfo | undefined,
  { table, window }: Pick<LoadedLens, 'table' | 'window'>,
  tray: TrayState,
) {
  const days = daysIn(window.from, window.to);
  const undo = useUndo(account?.id);
  const { changes, sending } = tray;
  const staged = useMemo(() => stagedOf([...sending, ...changes]), [changes, sending]);
  const stage = async (list: NewChange[]) => {
    if (list.length === 0) return;
    const { ids } = await undo.during(tray.stage.mutateAsync(list));
    const staged = ids.filter((id): id is number => id !== null);
    if (staged.length > 0)
      undo.did(
        { words: `${changeCount(staged.length)} staged`, undoing: { kind: 'take-out', ids: staged } },
        { isQuiet: true },
      );
  };
  return {
    staged,
    stage: (list: NewChange[]) => void stage(list).catch(() => {}), // the tray tells why it failed
    setValue: (row: number, to: number) => {
      const change = valueChange(table, row, to);
      if (change && 'from' in change && change.from !== to)
        void stage([newChange(table, row, change, 'By hand.', days)]).catch(() => {});
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
      void stage(planMove(table, rows, { kind: 'percent', by }, options).changes).catch(() => {});
    },
    /** Pauses what runs among some rows; resumes them when nothing does. */
    pause: (rows: number[]) => {
      const pausing = planState(table, rows, 'paused', staged, days);
      void stage(pausing.length > 0 ? pausing : planState(table, rows, 'enabled', staged, days)).catch(
        () => {},
      );
    },
  };
}

export type HandWork = ReturnType<typeof useHandWork>;
