import { USUAL_START } from '../../core/routes';
import type { StartRule } from '../../core/routes';
import { Choice, MoneyField, NumberField } from '../shared/kit';

interface StartFieldsProps {
  start: StartRule;
  currency: string;
  onStart: (start: StartRule) => void;
}

const BY_WORDS: Record<StartRule['by'], string> = {
  worth: 'sales per click × target ACOS',
  cpc: 'the CPC in the source',
  market: 'what the market suggests',
  fixed: 'a fixed bid',
};
/** Until another is typed. */
const FIRST_AMOUNT = 500_000;
/** The least a bid can be, micros. */
const CENT = 10_000;

/** How the first bid in the home is found. */
export function StartFields({ start, currency, onStart }: StartFieldsProps) {
  const { by, amount, cap } = start;
  const choose = (next: StartRule['by']) =>
    onStart(
      next === 'fixed'
        ? { by: next, amount: amount ?? FIRST_AMOUNT, cap: null }
        : { by: next, amount: null, cap: by === 'fixed' ? USUAL_START.cap : cap },
    );
  return (
    <>
      <Choice label="starts at" isLabelled value={by} onChange={(next) => choose(next as StartRule['by'])}>
        {Object.entries(BY_WORDS)}
      </Choice>
      {by === 'fixed' ? (
        <MoneyField
          label="Bid"
          micros={amount ?? FIRST_AMOUNT}
          currency={currency}
          least={CENT}
          onMicros={(next) => onStart({ ...start, amount: next })}
        />
      ) : (
        <NumberField
          label="at most"
          unit="×"
          after="the source’s CPC"
          value={cap}
          min={0.1}
          step={0.1}

          onChange={(value) => onStart({ ...start, cap: value })}
          onNone={() => onStart({ ...start, cap: null })}
        />
      )}
    </>
  );
}
