import { useBrush } from '../../shared/picture/useBrush';
import { useKeys } from '../../shared/useKeys';
import { rowKeys } from '../frame/rowKeys';
import { useRowDecisions } from '../frame/useRowDecisions';
import type { HourWork } from './useHourWork';

interface HourKeys {
  work: HourWork;
  onAsk: () => void;
  onAdding: (isAdding: boolean) => void;
  onFold: () => void;
}

/** Keys of the step of hours: every decision without the mouse. */
export function useHourKeys({ work, onAsk, onAdding, onFold }: HourKeys): void {
  const { decisions, loaded, isCurrent, accept } = work;
  const { rows, area, setArea, points } = work.view;
  const brush = useBrush(area, setArea, points, rows);
  const ids = () => (loaded ? rows.chosen().map((row) => loaded.table.campaignId[row]) : []);
  const deciding = useRowDecisions(isCurrent, work.list, {
    space: () => void accept(rows.chosen()),
    x: () => void decisions.put(ids(), 'left'),
    l: () => void decisions.put(ids(), 'later'),
  });
  useKeys({
    ...rowKeys(rows, brush),
    ...deciding,
    a: onAsk,
    s: () => onAdding(true),
    f: onFold,
  });
}
