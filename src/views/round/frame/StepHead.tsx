import DensityMedium from '@mui/icons-material/DensityMedium';
import DensitySmall from '@mui/icons-material/DensitySmall';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { ReactNode } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { formatCount } from '../../../core/units';
import type { BidShow } from '../../../plans/bids';
import { AddCondition } from '../../shared/conditions/Conditions';
import { useKeys } from '../../shared/useKeys';
import { PlaceBar } from '../../shared/window/PlaceBar';
import type { WindowState } from '../../shared/window/windowState';
import type { RoundState } from '../useRoundState';
import { useRowLines } from './useRowLines';

export interface StepHeadProps {
  account: AccountInfo | undefined;
  window: WindowState;
  state: RoundState;
  /** What the step comes to, in one sentence. */
  sentence: string;
  /** How many rows there are to show: proposed, all with their word, put aside. */
  proposed: number;
  all: { count: number; word: string };
  aside: number;
  /** How many rows are not proven yet and are shown by themselves; none: the step has no such rows. */
  testing?: number;
  /** How the step can be adjusted. */
  controls: ReactNode;
  /** Begins a new condition. */
  onCondition: () => void;
  /** Null: nothing can be accepted at once. */
  accept: { count: number; isSelection: boolean; asks: boolean; run: () => void } | null;
  /** What stands below. */
  below?: ReactNode;
}

/** The head of every step: its sentence, window and target; then in one line which rows are shown, how it is adjusted, and accepting many at once. */
export function StepHead(props: StepHeadProps) {
  const { account, window, state, sentence, proposed, testing, all, aside, controls, accept, below } = props;
  return (
    <div>
      <div className="head">
        <p className="sentence">{sentence}</p>
        <PlaceBar account={account} window={window} />
      </div>
      <div className="stepBar">
        <ToggleButtonGroup
          size="small"
          exclusive
          value={state.show}
          onChange={(_, next: BidShow | null) => next && state.setShow(next)}
          aria-label="Rows shown"
        >
          <ToggleButton value="proposed">Proposed {formatCount(proposed)}</ToggleButton>
          {testing !== undefined && (
            <ToggleButton value="testing" title="Not proven yet: bids raised to find out">
              Testing {formatCount(testing)}
            </ToggleButton>
          )}
          <ToggleButton value="all" title={`All ${all.word}`}>
            All {formatCount(all.count)}
          </ToggleButton>
          <ToggleButton value="aside">Put aside {formatCount(aside)}</ToggleButton>
        </ToggleButtonGroup>
        {controls}
        <span className="room" />
        <AddCondition onClick={props.onCondition} />
        <LinesButton />
        {accept && (
          <Button
            data-may="decide"
            variant="outlined"
            onClick={accept.run}
            title={accept.asks ? 'Accept all that is shown, after a summary (a)' : undefined}
          >
            Accept{' '}
            {accept.isSelection
              ? `the ${formatCount(accept.count)} selected`
              : `all ${formatCount(accept.count)}`}
          </Button>
        )}
      </div>
      {below}
    </div>
  );
}

/** One line a row, or two with the reason. */
function LinesButton() {
  const { isTwo, turn } = useRowLines();
  useKeys({ d: turn });
  const words = isTwo ? 'One line a row (d)' : 'Two lines a row, with the reason (d)';
  return (
    <IconButton aria-label={words} title={words} onClick={turn}>
      {isTwo ? <DensitySmall fontSize="inherit" /> : <DensityMedium fontSize="inherit" />}
    </IconButton>
  );
}
