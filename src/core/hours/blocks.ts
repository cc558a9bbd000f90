import { HOURS } from '../budgets';
import { CELLS, WEEKDAYS } from './cells';

/** Hours of the week merged into few rectangles of weekdays and hours. */
export interface HourBlocks {
  /** Of how many blocks they are. */
  count: number;
  /** The factor of its block, by cell. */
  factor: Float64Array;
  /** Share of what the single hours would gain that the blocks keep. */
  kept: number;
}

/** Of what single hours would gain, blocks are to keep so much; with more blocks than this a schedule is no picture any more. */
const [KEPT, MOST_BLOCKS] = [0.85, 12];

interface Block {
  days: readonly [from: number, to: number];
  hours: readonly [from: number, to: number];
}
interface Part extends Block {
  clicks: number;
  mean: number;
  square: number;
}

/**
 * Merges like hours into blocks: the week is cut by weekday or hour where that tells most of the differences (the click-weighted variance of ln m), until
 * 85 % of them are told or there are 12 blocks.
 * @param clicks of each cell @param factor how well its clicks sell, around 1
 */
export function hourBlocks(clicks: ArrayLike<number>, factor: ArrayLike<number>): HourBlocks {
  const partOf = (block: Block): Part => {
    let [all, sum, square] = [0, 0, 0];
    for (let day = block.days[0]; day < block.days[1]; day += 1)
      for (let hour = block.hours[0]; hour < block.hours[1]; hour += 1) {
        const cell = day * HOURS + hour;
        // An hour without clicks counts for next to nothing, but has its place in a block.
        const [weight, log] = [clicks[cell] + 1e-6, Math.log(factor[cell])];
        all += weight;
        sum += weight * log;
        square += weight * log * log;
      }
    const mean = sum / all;
    return { ...block, clicks: all, mean, square: square - all * mean * mean };
  };
  let parts = [partOf({ days: [0, WEEKDAYS], hours: [0, HOURS] })];
  const whole = parts[0].square;
  const left = () => parts.reduce((sum, { square }) => sum + square, 0);
  while (whole > 0 && parts.length < MOST_BLOCKS && left() > (1 - KEPT) * whole) {
    let best: { won: number; part: Part; by: [Part, Part] } | null = null;
    for (const part of parts)
      for (const by of cutsOf(part)) {
        const made = by.map(partOf) as [Part, Part];
        const won = part.square - made[0].square - made[1].square;
        if (!best || won > best.won) best = { won, part, by: made };
      }
    if (!best || best.won <= 0) break;
    const { part, by } = best;
    parts = parts.flatMap((one) => (one === part ? by : [one]));
  }
  const merged = new Float64Array(CELLS);
  for (const { days, hours, mean } of parts)
    for (let day = days[0]; day < days[1]; day += 1)
      for (let hour = hours[0]; hour < hours[1]; hour += 1) merged[day * HOURS + hour] = Math.exp(mean);
  return { count: parts.length, factor: merged, kept: whole > 0 ? 1 - left() / whole : 1 };
}

/** Every way to cut a block in two, by weekday or by hour. */
function* cutsOf({ days, hours }: Block): Generator<[Block, Block]> {
  for (let day = days[0] + 1; day < days[1]; day += 1)
    yield [
      { days: [days[0], day], hours },
      { days: [day, days[1]], hours },
    ];
  for (let hour = hours[0] + 1; hour < hours[1]; hour += 1)
    yield [
      { days, hours: [hours[0], hour] },
      { days, hours: [hour, hours[1]] },
    ];
}
