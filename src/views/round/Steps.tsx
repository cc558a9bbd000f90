import { formatCount, formatMoney } from '../../core/units';
import type { RoundStep, WorkState } from './steps/step';

interface StepsProps {
  steps: readonly RoundStep[];
  shown: RoundStep;
  workOf: (step: RoundStep) => WorkState;
  currency: string;
  onStep: (name: string) => void;
}

/** The steps of the round: how many proposals are left, and how much money is in them. Nine have room at 800 px. */
export function Steps({ steps, shown, workOf, currency, onStep }: StepsProps) {
  return (
    <nav
      aria-label="Steps"
      style={{ borderRight: '1px solid var(--hairline)', padding: '14px 0', overflow: 'auto' }}
    >
      <h1 className="serif" style={{ margin: '0 16px 8px', fontSize: 18, fontWeight: 500 }}>
        Round
      </h1>
      {steps.map((step, index) => (
        <button
          key={step.name}
          type="button"
          aria-current={step === shown ? 'step' : undefined}
          onClick={() => onStep(step.name)}
          title={String(index + 1)}
          className="entry"
        >
          <Entry
            step={step}
            digit={index + 1}
            isShown={step === shown}
            work={workOf(step)}
            currency={currency}
          />
        </button>
      ))}
    </nav>
  );
}

interface EntryProps {
  step: RoundStep;
  digit: number;
  isShown: boolean;
  work: WorkState;
  currency: string;
}

function Entry({ step: { name, label, money }, digit, isShown, work, currency }: EntryProps) {
  const summary = work.left.find(({ step }) => step === name);
  const left = summary?.left ?? 0;
  const staged = work.staged[name] ?? 0;
  const share = left + staged === 0 ? 1 : staged / (left + staged);
  return (
    <>
      <span className="spread" style={{ fontWeight: isShown ? 650 : 400, fontSize: 14 }}>
        <span>
          <span className="faint">{digit}</span> {label}
        </span>
        {money !== null && <span className="figure">{summary ? formatCount(left) : '…'}</span>}
      </span>
      {money !== null && (
        <>
          <span className="faint spread" style={{ fontSize: 12 }}>
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
        </>
      )}
    </>
  );
}
