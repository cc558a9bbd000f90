import type { Args } from '../args';
import { HOUR_WAYS, playHours } from '../hoursTrial';
import type { HourWay } from '../hoursTrial';
import { cell, money, say, share, total } from './print';

/** How much conversion varies by hour of the week in the markets of a trial. */
const SIGMAS = [0, 0.1, 0.2, 0.35];

/** Cost per click goes with the bid to this power: a way that left its ACOS lower could bid so much more. */
const CPC_ELASTICITY = 0.8;

/** What schedules bring, by how much conversion really varies: against none, each hour by what it sold, and days and nights off. */
export function compareHours({ seeds, market }: Args) {
  say(`${seeds.length} markets (${market}), 12 weeks watched, 12 played; bids stay, schedules alone differ.`);
  say(
    cell('', 24) +
      ['spend', 'sales', 'ACOS', 'sales ±', 'same ACOS', 'scheduled'].map((text) => cell(text)).join(''),
  );
  for (const sigma of SIGMAS) {
    const played = seeds.map((seed) => playHours(seed, sigma, market));
    const of = (way: HourWay) => played.map((list) => list.find((one) => one.way === way)!);
    const none = total(of('none'));
    for (const way of HOUR_WAYS) {
      const whole = total(of(way));
      const scheduled = of(way).filter(({ isScheduled }) => isScheduled).length;
      say(
        `σ ${sigma.toFixed(2)} ${way}`.padEnd(24) +
          [
            money(whole.spend),
            money(whole.sales),
            share(whole.acos),
            share(whole.sales / none.sales - 1),
            share((whole.sales / none.sales) * (none.acos! / whole.acos!) ** (1 / CPC_ELASTICITY) - 1),
            `${scheduled}/${seeds.length}`,
          ]
            .map((text) => cell(text))
            .join(''),
      );
    }
  }
}
