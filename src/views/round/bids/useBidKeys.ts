import { nudged } from '../../../core/changes';
import { useBrush } from '../../shared/picture/useBrush';
import { useKeys } from '../../shared/useKeys';
import { rowKeys } from '../frame/rowKeys';
import { useRowDecisions } from '../frame/useRowDecisions';
import { actOf, turnedPause } from '../../../plans/bids';
import type { Trial } from './useTrial';
import type { BidWork } from './useBidWork';

interface BidKeys {
  work: BidWork;
  accept: (rows: number[]) => void;
  onAsk: () => void;
  onLoss: () => void;
  onEditing: (row: number | null) => void;
  onAdding: (isAdding: boolean) => void;
  onFold: () => void;
  trial: Trial | null;
  tryTarget: (acos: number | null) => void;
}

/** Keys of a step that tunes bids: every decision without the mouse. */
export function useBidKeys(view: BidKeys): void {
  const { work, accept, trial, tryTarget } = view;
  const { decisions, plan, loaded, isCurrent, settings } = work;
  const { rows, area, setArea, points } = work.view;
  const table = loaded?.table;
  const brush = useBrush(area, setArea, points, rows);
  const { minBid } = settings.limits;
  const ids = () => (table ? rows.chosen().map((row) => table.targetId[row]) : []);
  const eachChosen = (decide: (row: number, targetId: number) => void) => {
    if (plan && table) for (const row of rows.chosen()) decide(row, table.targetId[row]);
  };
  const nudge = (factor: number) =>
    eachChosen((row, id) => {
      const { to } = actOf(plan!, table!, decisions.edits, row);
      decisions.edit(id, { kind: 'bid', to: nudged(to, factor, settings.limits) });
    });
  const own = rowKeys(rows, brush);
  const deciding = useRowDecisions(isCurrent, work.list, {
    space: () => accept(rows.chosen()),
    x: () => void decisions.put(ids(), 'left'),
    l: () => void decisions.put(ids(), 'later'),
    o: view.onLoss,
  });
  useKeys({
    ...own,
    ...deciding,
    a: view.onAsk,
    e: () => rows.focusedRow !== null && view.onEditing(rows.focusedRow),
    '[': () => nudge(0.95),
    ']': () => nudge(1.05),
    0: () =>
      eachChosen((_, id) => {
        const edit = decisions.edits.get(id);
        decisions.edit(id, edit?.kind === 'bid' && edit.to === minBid ? null : { kind: 'bid', to: minBid });
      }),
    p: () =>
      eachChosen((row, id) => {
        if (plan && table)
          decisions.edit(id, turnedPause(actOf(plan, table, decisions.edits, row), plan.to[row]));
      }),
    s: () => view.onAdding(true),
    f: view.onFold,
    '<': () => tryBy(-0.01),
    '>': () => tryBy(0.01),
    'shift+<': () => tryBy(-0.01),
    'shift+>': () => tryBy(0.01),
    escape: (event) => {
      own.escape(event);
      tryTarget(null);
    },
  });

  function tryBy(by: number) {
    const from = trial?.acos ?? work.accountAcos;
    const next = Math.round((from + by) * 100) / 100;
    if (next >= 0.02) tryTarget(next);
  }
}
