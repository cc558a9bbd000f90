import { ORDERS_MORE, RANK_INTERVAL } from '../../core/rank';
import type { Args } from '../args';
import { playRank } from '../rankTrial';
import type { PlayedRank } from '../rankTrial';
import { cell, say, share } from './print';

/** Days of history that an account has when it is looked at. */
const DAYS = [90, 120, 180];
const LAGS = [0, 3, 7, 12];

/** How near what is told of orders and organic ranks comes to what is true in played markets, and how often the interval holds it. */
export function coverRank({ seeds, market }: Args) {
  say(
    `What ${ORDERS_MORE} ad orders more a week do to the logarithm of the organic rank: ${seeds.length} markets (${market}), ${share(RANK_INTERVAL)} intervals.`,
  );
  say(
    ['days', 'lag', 'true', 'told', 'bias', 'holds', 'found', 'lag told', 'lag holds', 'early']
      .map((text) => cell(text))
      .join(''),
  );
  for (const moves of [true, false])
    for (const days of DAYS)
      for (const lag of moves ? LAGS : [0])
        tell(
          days,
          lag,
          seeds.map((seed) => playRank(seed, days, lag, moves, market)),
        );
}

function tell(days: number, lag: number, played: PlayedRank[]) {
  const fits = played.flatMap(({ told, truth }) => (told.verdict === 'early' ? [] : [{ ...told, truth }]));
  const mean = (of: (one: (typeof fits)[number]) => number) =>
    fits.reduce((sum, one) => sum + of(one), 0) / fits.length;
  const part = (of: (one: (typeof fits)[number]) => boolean) => `${fits.filter(of).length}/${fits.length}`;
  const holds = (value: number, [from, to]: [number, number]) => value >= from && value <= to;
  say(
    [
      String(days),
      fits[0]?.truth === 0 ? 'none' : String(lag),
      mean(({ truth }) => truth).toFixed(2),
      mean(({ move }) => move).toFixed(2),
      mean(({ move, truth }) => move - truth).toFixed(2),
      part(({ truth, moves }) => holds(truth, moves)),
      part(({ verdict }) => verdict === 'known'),
      mean((one) => one.lag).toFixed(1),
      part(({ lags }) => holds(lag, lags)),
      String(played.length - fits.length),
    ]
      .map((text) => cell(text))
      .join(''),
  );
}
