import { buildLens, findMovers } from '../../core/lenses';
import type { GrainSums, LensTable, Mover } from '../../core/lenses';
import type { Numbers } from '../../core/order';
import type { TreeIndex } from '../../core/structure';

/** What a change is told by, from the finest on. */
export type MoverLevel = 'campaign' | 'product' | 'line';

/** What changed most, and what is told of the rest. */
export interface MovedBy {
  level: MoverLevel;
  movers: (Mover & { name: string; id: number })[];
  /** Share of all movement that these make; null when nothing moved. */
  explained: number | null;
  others: number;
}

/** Single campaigns that make less of all movement than this say nothing: then it is told by product, or by line. */
const SAYS_ENOUGH = 0.35;

/** Sums of two windows by thing. */
interface Level {
  level: MoverLevel;
  ids: ArrayLike<number>;
  names: readonly string[];
  now: ArrayLike<number>;
  before: ArrayLike<number>;
}

/** The few campaigns that explain most of a change; where each of very many moved a little, the few products or lines. */
export function movedBy(
  campaigns: LensTable,
  index: TreeIndex,
  sums: GrainSums,
): (key: 'spend' | 'sales') => MovedBy {
  let products: LensTable | null = null;
  const levels: ((key: 'spend' | 'sales') => Level)[] = [
    (key) => levelOf('campaign', campaigns, campaigns.campaignId, key),
    (key) => {
      products ??= buildLens('products', index, sums);
      return levelOf('product', products, products.productId, key);
    },
    (key) => byLine(campaigns, index, key),
  ];
  return (key) => {
    const whole = [totalOf(campaigns.now[key]), totalOf(campaigns.before[key])];
    const isWhole = (now: Numbers, before: Numbers) =>
      totalOf(now) === whole[0] && totalOf(before) === whole[1];
    let best: MovedBy | null = null;
    for (const make of levels) {
      const { level, ids, names, now, before } = make(key);
      // A level that all hangs on one of says less than the finer one; one that lacks a part of it would tell of another whole.
      if (best !== null && (ids.length < 2 || !isWhole(now, before))) continue;
      const rows = sums.isBeforeCovered ? Int32Array.from(ids, (_, row) => row) : [];
      const found = findMovers(rows, now, before);
      const told: MovedBy = {
        level,
        explained: found.explained,
        others: found.others,
        movers: found.movers.map((one) => ({ ...one, name: names[one.row], id: ids[one.row] })),
      };
      if (best === null) best = told;
      else if ((told.explained ?? 0) > (best.explained ?? 0)) best = told;
      if (best.explained === null || best.explained >= SAYS_ENOUGH) return best;
    }
    return best!;
  };
}

function totalOf(numbers: Numbers): number {
  let sum = 0;
  for (let at = 0; at < numbers.length; at += 1) sum += numbers[at];
  return sum;
}

const levelOf = (
  level: MoverLevel,
  table: LensTable,
  ids: ArrayLike<number>,
  key: 'spend' | 'sales',
): Level => ({ level, ids, names: table.name, now: table.now[key], before: table.before[key] });

function byLine(campaigns: LensTable, index: TreeIndex, key: 'spend' | 'sales'): Level {
  const lines = new Map<number, { now: number; before: number }>();
  for (let row = 0; row < campaigns.size; row += 1) {
    const id = campaigns.lineId[row];
    const own = lines.get(id) ?? { now: 0, before: 0 };
    own.now += campaigns.now[key][row];
    own.before += campaigns.before[key][row];
    lines.set(id, own);
  }
  const ids = [...lines.keys()];
  const list = [...lines.values()];
  return {
    level: 'line',
    ids,
    names: ids.map((id) => index.lines.get(id) ?? 'no line, or several'),
    now: list.map(({ now }) => now),
    before: list.map(({ before }) => before),
  };
}
