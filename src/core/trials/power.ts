/** (1.96 + 0.84)^2 x 5: found in eight of ten, with one false alarm in twenty, where a week's orders differ by 1.3 times chance. */
const NEEDED = 39;
/** The variance of sums before and after: 1.3 / orders of each of the four, and what weeks differ by themselves. */
const [CELLS_VARIANCE, WEEKS_VARIANCE] = [1.3, 0.0007];
const FOUND = 2.8;

/** Orders a week of the campaigns of a trial, and of those that it leaves alone; 0: there are none to compare with. */
export interface TrialSize {
  orders: number;
  untouched: number;
}

/** How much chance the campaigns that are compared with bring in; none to compare with bring in none. */
const compared = ({ orders, untouched }: TrialSize) => 1 + (untouched > 0 ? orders / untouched : 0);

/**
 * Weeks of on and off that show an effect: 39 / (orders a week x ln(1 + effect)^2) x (1 + orders / untouched orders) + 1. Infinity without orders.
 * @param effect share by which orders differ, of either sign
 */
export const weeksNeeded = (size: TrialSize, effect: number): number =>
  size.orders > 0
    ? Math.ceil((NEEDED / (size.orders * Math.log(1 + effect) ** 2)) * compared(size) + 1)
    : Infinity;

/** The least effect that so many weeks of on and off show, share; Infinity where they show none. */
export const shownIn = (size: TrialSize, weeks: number): number =>
  size.orders > 0 && weeks > 1
    ? Math.exp(Math.sqrt((NEEDED * compared(size)) / (size.orders * (weeks - 1)))) - 1
    : Infinity;

/** The least effect that weeks before and as many after can show: Var = 1.3 S 1/orders of the four sums + .0007 x weeks. */
export const shownBeforeAfter = ({ orders, untouched }: TrialSize, weeks: number): number =>
  orders > 0
    ? Math.exp(
        FOUND *
          Math.sqrt(
            (2 * CELLS_VARIANCE) / (orders * weeks) +
              (untouched > 0 ? (2 * CELLS_VARIANCE) / (untouched * weeks) : 0) +
              WEEKS_VARIANCE * weeks,
          ),
      ) - 1
    : Infinity;
