import type { Dot } from './dot';

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

const keyOf = ({ x, y, isOver }: Pick<Dot, 'x' | 'y' | 'isOver'>) =>
  `${Math.floor(x / CELL)} ${Math.floor(y / CELL)} ${isOver}`;

/**
 * Parts dots into those that stand by themselves and swarms. Those over the line and those under it are never one mark: a cell that the
 * line crosses has two.
 */
export function inSwarms(dots: readonly Dot[]): { alone: Dot[]; swarms: Swarm[] } {
  const byRadius = [...dots].sort((a, b) => b.radius - a.radius);
  const single = byRadius.slice(0, LARGEST);
  const cells = new Map<string, Dot[]>();
  for (const dot of byRadius.slice(LARGEST)) {
    const key = keyOf(dot);
    const cell = cells.get(key);
    if (cell) cell.push(dot);
    else cells.set(key, [dot]);
  }
  const dense: Dot[][] = [];
  for (const cell of cells.values())
    if (cell.length > FEW) dense.push(cell);
    else for (const dot of cell) single.push(dot);
  const most = dense.reduce((top, { length }) => Math.max(top, length), 2);
  const swarms = dense.map((cell): Swarm => {
    const [{ isOver, x, y }] = cell;
    const weight = Math.log(cell.length) / Math.log(most);
    // Where the line crosses a cell, its two marks stand side by side, each half as wide.
    const isShared = cells.has(keyOf({ x, y, isOver: !isOver }));
    const aside = isShared ? ((isOver ? -1 : 1) * CELL) / 4 : 0;
    return {
      x: (Math.floor(x / CELL) + 0.5) * CELL + aside,
      y: (Math.floor(y / CELL) + 0.5) * CELL,
      isOver,
      count: cell.length,
      radius: isShared ? 1.4 + 0.7 * weight : 1.8 + 2.4 * weight,
      weight,
    };
  });
  return { alone: single, swarms };
}
