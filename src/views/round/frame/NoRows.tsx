import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Empty } from '../../shared/kit';
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
      <Empty
        next={
          <Button variant="outlined" onClick={() => state.setConditions([])}>
            Clear them
          </Button>
        }
      >
        No {row} meets all {state.conditions.length} conditions.
      </Empty>
    );
  if (state.show === 'aside')
    return (
      <Empty why="What you leave (x) or put off (l) waits here.">Nothing is put aside in this step.</Empty>
    );
  return (
    <Empty
      why={loosen}
      next={
        <Button variant="outlined" onClick={() => state.setShow('all')}>
          Show all {rows}
        </Button>
      }
    >
      Done here: go on to the next step.
    </Empty>
  );
}
