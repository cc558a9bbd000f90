import type { Args } from '../args';
import { playTrial } from '../weekTrials';
import type { PlayedTrial } from '../weekTrials';
import { cell, say, share } from './print';

/** How often the 80 % interval of a trial by weeks holds what is true, and how often it finds what is there. */
export function coverTrials({ seeds, market }: Args) {
  say(
    `Trials of 8 weeks in the campaigns of half of the products of ${seeds.length} markets (${market}), 80 % intervals.`,
  );
  say(['bids', 'true', 'told', 'holds', 'sure'].map((text) => cell(text)).join(''));
  let [holds, all] = [0, 0];
  for (const percent of [0, -20, 30]) {
    const played = seeds.map((seed) => playTrial(seed, percent, market));
    const mean = (of: (one: PlayedTrial) => number) =>
      played.reduce((sum, one) => sum + of(one), 0) / played.length;
    const count = (of: (one: PlayedTrial) => boolean) => played.filter(of).length;
    holds += count((one) => one.holds);
    all += played.length;
    say(
      [
        `${percent} %`,
        share(mean(({ truth }) => truth)),
        share(mean(({ told }) => told)),
        share(count((one) => one.holds) / played.length),
        `${count((one) => one.isSure)}/${played.length}`,
      ]
        .map((text) => cell(text))
        .join(''),
    );
  }
  say(`All: the interval holds ${share(holds / all)}.`);
}
