import type { ReactNode } from 'react';
import type { RoundState } from '../useRoundState';

interface NoRowsProps {
  state: RoundState;
  /** What one row is called, and several. */
  row: string;
  rows: string;
  /** What is wrong with the account's data, before anything else; null where nothing is. */
  lacking: ReactNode | null;
  /** How the step would have more to decide. */
  loosen: string;
}

/** Why a step shows no rows, and what can be done. */
export function NoRows({ state, row, rows, lacking, loosen }: NoRowsProps) {
  if (lacking !== null) return lacking;
  if (state.conditions.length > 0)
    return (
      <p>
        No {row} meets all {state.conditions.length} conditions.{' '}
        <button onClick={() => state.setConditions([])}>Clear them</button>
      </p>
    );
  if (state.show === 'aside') return <p>Nothing is put aside in this step.</p>;
  return (
    <p>
      {loosen} Look at <button onClick={() => state.setShow('all')}>all {rows}</button>, or go on to the next
      step.
    </p>
  );
}
