import type { PlayRequest } from '../../../contract/rules';
import { playRule } from '../../standing/play/plays';
import { MOWING } from '../../trail';
import { counted } from '../../../core/units';
import type { JobKind } from '../kind';

/** Plays a rule on markets like what it works in. */
export const play: JobKind<Omit<PlayRequest, 'account'>> = {
  name: 'play',
  tries: 2,
  firstPauseS: 3,
  dailyAt: null,
  run: async ({ accountId, input, tell }) => {
    await playRule(MOWING, { account: accountId, ...input }, (done, total) =>
      tell({ doing: 'playing markets', done, total }),
    );
    return `Played ${counted(input.weeks, 'week')} on ${counted(input.markets, 'market')}.`;
  },
};
