import type { Dot, Dots } from './dots';

/** Dots that would lie over each other, drawn as one mark. */
export interface Swarm {
  x: number;
  y: number;
  isOver: boolean;
  /** How many they are. */
  count: number;
  radius: number;
  /** 0 to 1: how dense beside the densest. */
  weight: number;
}

/** Marks stand this far apart, px: next to each other, and never over each other. */
const CELL = 9;
/** So few in a cell are drawn as what they are. */
const FEW = 2;
/** So many with most spend stay dots of their own, wherever they lie: they are what is looked for. */
const LARGEST = 120;

/** Marks those with most spend with 1; of equal ones the first. */
function largestOf({ spend, count }: Dots): Uint8Array {
  const least = Float64Array.from(spend).sort()[Math.max(0, count - LARGEST)];
  const isLargest = Uint8Array.from(spend, (one) => (one > least ? 1 : 0));
  let left = LARGEST - isLargest.reduce((sum, one) => sum + one, 0);
  for (let index = 0; index < count && left > 0; index += 1)
    if (spend[index] === least) {
      isLargest[index] = 1;
      left -= 1;
    }
  return isLargest;
}

/**
 * Parts dots into those that stand by themselves and swarms. Those over the line and those under it are never one mark: a cell that the
 * line crosses has two.
 * @param width of the picture, px
 */
export function inSwarms(dots: Dots, width: number, height: number): { alone: Dot[]; swarms: Swarm[] } {
  const across = Math.ceil(width / CELL) + 1;
  const counts = new Int32Array(2 * across * (Math.ceil(height / CELL) + 1));
  /** Of a dot: that of its place, and of its side of the line. */
  const cellOf = (index: number) =>
    2 * (Math.floor(dots.y[index] / CELL) * across + Math.floor(dots.x[index] / CELL)) + dots.isOver[index];
  const isLargest = largestOf(dots);
  for (let index = 0; index < dots.count; index += 1) if (!isLargest[index]) counts[cellOf(index)] += 1;
  const alone: Dot[] = [];
  for (let index = 0; index < dots.count; index += 1)
    if (isLargest[index] || counts[cellOf(index)] <= FEW) alone.push(dots.at(index));
  const most = counts.reduce((top, count) => Math.max(top, count), 2);
  const swarms: Swarm[] = [];
  counts.forEach((count, cell) => {
    if (count <= FEW) return;
    const isOver = cell % 2 === 1;
    const place = Math.floor(cell / 2);
    const weight = Math.log(count) / Math.log(most);
    // Where the line crosses a cell, its two marks stand side by side, each half as wide.
    const isShared = counts[isOver ? cell - 1 : cell + 1] > 0;
    const aside = isShared ? ((isOver ? -1 : 1) * CELL) / 4 : 0;
    swarms.push({
      x: ((place % across) + 0.5) * CELL + aside,
      y: (Math.floor(place / across) + 0.5) * CELL,
      isOver,
      count,
      radius: isShared ? 1.4 + 0.7 * weight : 1.8 + 2.4 * weight,
      weight,
    });
  });
  // The largest lie on top of none of the smaller ones.
  return { alone: alone.sort((a, b) => b.radius - a.radius), swarms };
}
