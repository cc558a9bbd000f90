import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { formatCount } from '../../../core/units';
import { Fault, NumberField, Progress } from '../../shared/kit';
import { Played } from './Played';
import type { PlayState } from './usePlay';
import { FIRST_PLAY } from './usePlay';

interface PlayPartProps {
  account: AccountInfo;
  state: PlayState;
  /** What is played first. */
  weeks?: number;
  /** What a play of it shows. */
  does: string;
}

/** Playing something on markets like the account's, with it and without. */
export function PlayPart({ account, state, weeks: first = FIRST_PLAY.weeks, does }: PlayPartProps) {
  const [weeks, setWeeks] = useState(first);
  const [markets, setMarkets] = useState(FIRST_PLAY.markets);
  const { played, isPlaying, share, error } = state;
  return (
    <section aria-label="Played">
      <div className="bar">
        <h2 className="part serif">Played ahead</h2>
        <NumberField
          label="Weeks"
          isLabelled={false}
          value={weeks}
          min={1}
          max={26}
          step={1}
          after="weeks on"
          onChange={setWeeks}
        />
        <NumberField
          label="Markets"
          isLabelled={false}
          value={markets}
          min={1}
          max={12}
          step={1}
          after="markets like this one"
          onChange={setMarkets}
        />
        <Button disabled={isPlaying} title="p" onClick={() => void state.play(weeks, markets)}>
          {played ? 'Play again' : 'Play it'}
        </Button>
        {isPlaying && (
          <Button variant="link" onClick={state.cancel}>
            Stop playing
          </Button>
        )}
      </div>
      <Fault error={error} />
      {isPlaying && (
        <Progress label="Playing" share={share}>
          {share === null
            ? 'It waits for its turn.'
            : `${formatCount(Math.round(share * markets))} of ${formatCount(markets)} markets played`}
        </Progress>
      )}
      {played ? <Played account={account} played={played} /> : !isPlaying && <p className="note">{does}</p>}
    </section>
  );
}
