import { formatMoney, formatShare } from '../../../core/units';
import { COOL_DOWN_DAYS } from '../../../plans/byHand';
import type { HandPlan } from '../../../plans/byHand';
import { Check } from '../../shared/kit';
import { expectedWords } from '../../shared/tray/money';

interface PlanWordsProps {
  plan: HandPlan;
  isShare: boolean;
  currency: string;
  againToo: boolean;
  onAgainToo: (againToo: boolean) => void;
}

/** What a move by hand comes to: how many go which way, what they are on average, how many hit a limit or are left out. */
export function PlanWords({ plan, isShare, currency, againToo, onAgainToo }: PlanWordsProps) {
  const { changes, up, down, atFloor, atCap, same, pending, recent, before, after } = plan;
  const count = changes.length;
  const mean = (sum: number) => (isShare ? formatShare(sum / count, 0) : formatMoney(sum / count));
  const parts = [
    down > 0 && `${down} down`,
    up > 0 && `${up} up`,
    count > 0 &&
      `${count > 1 ? 'on average ' : ''}${mean(before)} → ${mean(after)}${isShare ? '' : ` ${currency}`}`,
    atFloor > 0 && `${atFloor} at the floor`,
    atCap > 0 && `${atCap} at the cap`,
    same > 0 && `${same} stay`,
    expectedWords(changes, currency),
  ].filter(Boolean);
  const left = [
    pending > 0 && `${pending} wait in the tray`,
    recent > 0 && `${recent} changed in the last ${COOL_DOWN_DAYS} days`,
  ].filter(Boolean);
  return (
    <span aria-live="polite">
      {parts.join(' · ')}
      {(left.length > 0 || againToo) && (
        <span className="bar">
          {left.length > 0 && <span className="over">▲ left out: {left.join(', ')}</span>}
          <Check isOn={againToo} onChange={onAgainToo}>
            change these too
          </Check>
        </span>
      )}
    </span>
  );
}
