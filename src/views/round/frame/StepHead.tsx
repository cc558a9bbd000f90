import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { ReactNode } from 'react';
import { formatCount } from '../../../core/units';
import type { Show } from '../../../plans/terms';
import type { RoundState } from '../useRoundState';

export interface StepHeadProps {
  state: RoundState;
  /** What the step comes to, in one sentence. */
  sentence: string;
  /** How many rows there are to show: proposed, all with their word, put aside. */
  proposed: number;
  all: { count: number; word: string };
  aside: number;
  /** How the step can be adjusted. */
  controls: ReactNode;
  /** Null: nothing can be accepted at once. */
  accept: { count: number; isSelection: boolean; asks: boolean; run: () => void } | null;
  /** What stands below. */
  below?: ReactNode;
}

/** The head of every step: its sentence, which rows are shown, how it is adjusted, and accepting many at once. */
export function StepHead(props: StepHeadProps) {
  const { state, sentence, proposed, all, aside, controls, accept, below } = props;
  return (
    <div style={{ padding: '10px 16px 6px' }}>
      <p className="serif" style={{ margin: '0 0 6px', fontSize: 17 }}>
        {sentence}
      </p>
      <div style={{ display: 'flex', alignItems: 'center', gap: '6px 7px', flexWrap: 'wrap' }}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={state.show}
          onChange={(_, next: Show | null) => next && state.setShow(next)}
          aria-label="Rows shown"
        >
          <ToggleButton value="proposed" sx={TOGGLE}>
            Proposed {formatCount(proposed)}
          </ToggleButton>
          <ToggleButton value="all" sx={TOGGLE}>
            All {all.word} {formatCount(all.count)}
          </ToggleButton>
          <ToggleButton value="aside" sx={TOGGLE}>
            Put aside {formatCount(aside)}
          </ToggleButton>
        </ToggleButtonGroup>
        {controls}
        {accept && (
          <Button
            variant="outlined"
            sx={{ marginLeft: 'auto' }}
            onClick={accept.run}
            title={accept.asks ? 'a' : undefined}
          >
            Accept{' '}
            {accept.isSelection
              ? `the ${formatCount(accept.count)} selected`
              : `all ${formatCount(accept.count)}`}
            {accept.asks && ' …'}
          </Button>
        )}
      </div>
      {below}
    </div>
  );
}

const TOGGLE = { padding: '1px 7px', fontSize: 12.5, textTransform: 'none' } as const;
