import { USUAL_START } from '../../core/routes';
import type { StartRule } from '../../core/routes';
import { MICROS_PER_UNIT, toMicros } from '../../core/units';
import { NumberField } from '../shared/NumberField';
import { Choice } from '../shared/Choice';

interface StartFieldsProps {
  start: StartRule;
  currency: string;
  onStart: (start: StartRule) => void;
}

const BY_WORDS: Record<StartRule['by'], string> = {
  worth: 'sales per click × target',
  cpc: 'the CPC in the source',
  market: 'what the market suggests',
  fixed: 'a fixed bid',
};
/** Until another is typed. */
const FIRST_AMOUNT = 500_000;

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
      <Choice label="starts at" value={by} onChange={(next) => choose(next as StartRule['by'])}>
        {Object.entries(BY_WORDS)}
      </Choice>
      {by === 'fixed' ? (
        <NumberField
          label={`${currency} bid`}
          value={(amount ?? FIRST_AMOUNT) / MICROS_PER_UNIT}
          min={0.01}
          step={0.01}
          onChange={(value) => onStart({ ...start, amount: toMicros(value) })}
        />
      ) : (
        <NumberField
          label="× the source’s CPC at most"
          value={cap}
          min={0.1}
          step={0.1}
          width={42}
          onChange={(value) => onStart({ ...start, cap: value })}
          onNone={() => onStart({ ...start, cap: null })}
        />
      )}
    </>
  );
}
