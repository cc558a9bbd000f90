import { formatCount, formatMoney } from '../../core/units';
import type { RoundStep } from '../../contract/review';
import { STEPS } from './useRoundState';

/** How much there is to do in a step. Money in micros. */
export interface StepLeft {
  step: RoundStep;
  left: number;
  money: number;
}

interface StepsProps {
  isOverview: boolean;
  onOverview: () => void;
  step: RoundStep;
  summaries: StepLeft[];
  /** Accepted in this tray, by step. */
  staged: Record<RoundStep, number>;
  currency: string;
  onStep: (step: RoundStep) => void;
}

/** The steps of the round: how many proposals are left, and how much money is in them. */
export function Steps({
  isOverview,
  onOverview,
  step: chosen,
  summaries,
  staged,
  currency,
  onStep,
}: StepsProps) {
  return (
    <nav
      aria-label="Steps"
      style={{ borderRight: '1px solid var(--hairline)', padding: '14px 0', overflow: 'auto' }}
    >
      <h1 className="serif" style={{ margin: '0 16px 10px', fontSize: 18, fontWeight: 500 }}>
        Round
      </h1>
      <button
        type="button"
        className="entry"
        aria-current={isOverview ? 'step' : undefined}
        onClick={onOverview}
        title="1"
        style={{ fontSize: 14, fontWeight: isOverview ? 650 : 400 }}
      >
        <span className="faint">1</span> Overview
      </button>
      {STEPS.map(({ name, label, money }, index) => {
        const step = isOverview ? null : chosen;
        const summary = summaries.find((one) => one.step === name);
        const left = summary?.left ?? 0;
        const share = left + staged[name] === 0 ? 1 : staged[name] / (left + staged[name]);
        return (
          <button
            key={name}
            type="button"
            aria-current={name === step ? 'step' : undefined}
            onClick={() => onStep(name)}
            title={String(index + 2)}
            className="entry"
          >
            <span
              style={{
                display: 'flex',
                justifyContent: 'space-between',
                fontWeight: name === step ? 650 : 400,
                fontSize: 14,
              }}
            >
              <span>
                <span className="faint">{index + 2}</span> {label}
              </span>
              <span className="figure">{summary ? formatCount(left) : '…'}</span>
            </span>
            <span
              className="faint"
              style={{ display: 'flex', justifyContent: 'space-between', fontSize: 12 }}
            >
              <span>
                {currency} {money}
              </span>
              <span className="figure">{summary ? formatMoney(summary.money) : ''}</span>
            </span>
            <span style={{ display: 'block', height: 2, marginTop: 5, background: 'var(--hairline)' }}>
              <span
                style={{ display: 'block', height: 2, width: `${share * 100}%`, background: 'var(--accent)' }}
              />
            </span>
          </button>
        );
      })}
      <Legend />
    </nav>
  );
}

/** How to read the picture, in five lines. */
function Legend() {
  return (
    <div
      className="faint"
      style={{
        margin: '22px 16px 0',
        fontSize: 12,
        lineHeight: 1.5,
        borderTop: '1px solid var(--hairline)',
        paddingTop: 10,
      }}
    >
      <strong>The cut line</strong>
      <br />
      Across: what a click brings. Up: what it costs. On the line both meet your target.
      <br />
      <span className="over">▲</span> above: costs more than the target allows
      <br />
      <span className="under">●</span> below: room to pay more
      <br />○ hollow: little evidence yet; the whisker shows where it may lie
      <br />
      Area: spend
    </div>
  );
}
