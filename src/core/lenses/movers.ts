/** What one thing adds to a change of the whole. */
export interface Mover {
  row: number;
  now: number;
  before: number;
  move: number;
}

export interface Movers {
  /** The few that explain most of the change, largest first. */
  movers: Mover[];
  /** Share of all movement (up and down, counted without sign) that they explain; null when nothing moved. */
  explained: number | null;
  /** How many others moved too. */
  others: number;
}

/** The others are told when these explain so much of all movement. */
const ENOUGH = 0.8;

/**
 * The few rows that explain most of a change: by the size of their own move, until they explain 80 % of all movement.
 * Moves up and down are both counted, so that two that cancel each other are not overlooked.
 */
export function findMovers(
  rows: ArrayLike<number>,
  now: ArrayLike<number>,
  before: ArrayLike<number>,
  most = 8,
): Movers {
  const all: Mover[] = [];
  let movement = 0;
  for (let at = 0; at < rows.length; at += 1) {
    const row = rows[at];
    const move = now[row] - before[row];
    if (move === 0) continue;
    movement += Math.abs(move);
    all.push({ row, now: now[row], before: before[row], move });
  }
  all.sort((a, b) => Math.abs(b.move) - Math.abs(a.move) || a.row - b.row);
  const movers: Mover[] = [];
  let explained = 0;
  for (const mover of all) {
    if (movers.length >= most || (movers.length > 0 && explained >= ENOUGH * movement)) break;
    movers.push(mover);
    explained += Math.abs(mover.move);
  }
  return {
    movers,
    explained: movement === 0 ? null : explained / movement,
    others: all.length - movers.length,
  };
}
