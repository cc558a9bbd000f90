import type { Sums } from '../measures';
import { addSums, NO_SUMS } from '../measures';
import { PLACEMENT_LABELS, PLACEMENTS } from '../structure';
import type { TreeIndex } from '../structure';
import type { Window } from '../windows';
import { lensNamed } from './lens';
import { GRADES, STANDINGS, STATES } from './lensTable';
import type { LensTable } from './lensTable';
import { daysOfPeriod, nameOfPeriod, PERIOD_STEPS, startOfPeriod } from './periods';
import type { PeriodStep, RowPeriods } from './periods';
import { sumsAt } from './sumColumns';

/** What a cross-tab can be spread over. */
export const DIMENSIONS = [
  ['campaign', 'Campaign'],
  ['ad-group', 'Ad group'],
  ['product', 'Product'],
  ['line', 'Product line'],
  ['kind', 'Kind'],
  ['match', 'Match'],
  ['placement', 'Placement'],
  ['state', 'State'],
  ['standing', 'Standing'],
  ['evidence', 'Evidence'],
  ['week', 'Week'],
  ['month', 'Month'],
] as const;
export type Dimension = (typeof DIMENSIONS)[number][0];

/** One value of a dimension: an id (0 for choices), and what it is called. */
export interface DimensionValue {
  key: string;
  id: number;
  name: string;
  /** The days of a week or month; null for anything else. */
  days: Window | null;
  /** Sums over the whole other dimension, and the spend-weighted target ACOS. */
  total: Cell;
}

/** Sums of a cell, and the target ACOS that counts for it: each row's own, weighted by its sales (or spend). */
export interface Cell {
  sums: Sums;
  targetAcos: number | null;
}

/** Match types of keywords. */
const MATCHES: ReadonlySet<string> = new Set(['exact', 'phrase', 'broad']);

/** Dimension x dimension, with true totals: every ratio can be computed from the sums. */
export interface CrossTab {
  rows: DimensionValue[];
  columns: DimensionValue[];
  /** By row and column; undefined where nothing meets. */
  cells: (Cell | undefined)[][];
  total: Cell;
}

interface Pot {
  sums: Sums;
  weight: number;
  weighted: number;
}

export const isTime = (dimension: Dimension): dimension is PeriodStep =>
  PERIOD_STEPS.some((step) => step === dimension);

/**
 * Sums rows of a lens over two dimensions. Values come largest spend first, periods in their order.
 * @param periods what the rows came to by week or month, where a dimension is one
 */
export function crossTabOf(
  table: LensTable,
  rows: ArrayLike<number>,
  index: TreeIndex,
  down: Dimension,
  across: Dimension,
  periods?: RowPeriods,
): CrossTab {
  const reader = (dimension: Dimension) => {
    if (!isTime(dimension)) return valueReader(table, index, dimension);
    if (!periods) throw new Error(`A cross-tab by ${dimension} needs what the rows came to in each.`);
    return periodReader(periods, dimension);
  };
  const [readDown, readAcross] = [reader(down), reader(across)];
  const grid = new Map<string, Pot>();
  const [downs, acrosses] = [new Map<string, DimensionPot>(), new Map<string, DimensionPot>()];
  const whole = newPot();
  const count = periods ? periods.row.length : rows.length;
  for (let at = 0; at < count; at += 1) {
    const row = periods ? periods.row[at] : rows[at];
    const sums = periods ? sumsAt(periods.sums, at) : sumsAt(table.now, row);
    const [a, b] = [readDown(row, at), readAcross(row, at)];
    const key = `${a.key}\n${b.key}`;
    let cell = grid.get(key);
    if (!cell) grid.set(key, (cell = newPot()));
    for (const pot of [cell, potOf(downs, a), potOf(acrosses, b), whole])
      pour(pot, sums, table.targetAcos[row]);
  }
  const sorted = (pots: Map<string, DimensionPot>) =>
    [...pots.values()]
      .map(({ pot, days = null, ...one }): DimensionValue => ({ ...one, days, total: toCell(pot) }))
      .sort((a, b) =>
        a.days && b.days
          ? a.days.from < b.days.from
            ? -1
            : 1
          : b.total.sums.spend - a.total.sums.spend || (a.name < b.name ? -1 : 1),
      );
  const [downValues, acrossValues] = [sorted(downs), sorted(acrosses)];
  const cells = downValues.map((a) =>
    acrossValues.map((b) => {
      const pot = grid.get(`${a.key}\n${b.key}`);
      return pot && toCell(pot);
    }),
  );
  return { rows: downValues, columns: acrossValues, cells, total: toCell(whole) };
}

type Value = { key: string; id: number; name: string; days?: Window };
type DimensionPot = Value & { pot: Pot };

const newPot = (): Pot => ({ sums: { ...NO_SUMS }, weight: 0, weighted: 0 });
const toCell = ({ sums, weight, weighted }: Pot): Cell => ({
  sums,
  targetAcos: weight === 0 ? null : weighted / weight,
});

function potOf(pots: Map<string, DimensionPot>, value: Value): Pot {
  let known = pots.get(value.key);
  if (!known) pots.set(value.key, (known = { ...value, pot: newPot() }));
  return known.pot;
}

function pour(pot: Pot, sums: Sums, target: number) {
  pot.sums = addSums(pot.sums, sums);
  // What is sold has to be paid for at its own target; where nothing was sold, what was spent tells whose target it is.
  const weight = sums.sales > 0 ? sums.sales : sums.spend;
  if (Number.isNaN(target) || weight === 0) return;
  pot.weight += weight;
  pot.weighted += weight * target;
}

/** The period of an entry, in its own step or a coarser one. */
function periodReader({ start, window }: RowPeriods, step: PeriodStep): (row: number, at: number) => Value {
  const known = new Map<string, Value>();
  return (_, at) => {
    const key = startOfPeriod(start[at], step);
    let value = known.get(key);
    if (!value) {
      value = { key, id: 0, name: nameOfPeriod(key, step, window), days: daysOfPeriod(key, step, window) };
      known.set(key, value);
    }
    return value;
  };
}

function valueReader(
  table: LensTable,
  index: TreeIndex,
  dimension: Exclude<Dimension, PeriodStep>,
): (row: number, at: number) => Value {
  const byId = (column: Int32Array, nameOf: (id: number) => string | undefined) => (row: number) => {
    const id = column[row];
    return { key: String(id), id, name: id === 0 ? '–' : (nameOf(id) ?? '–') };
  };
  const choice = (nameOf: (row: number) => string) => (row: number) => {
    const name = nameOf(row);
    return { key: name, id: 0, name: name === '' ? '–' : name };
  };
  const { entity } = lensNamed(table.lens);
  switch (dimension) {
    case 'campaign':
      return byId(table.campaignId, (id) => index.campaigns.get(id)?.name);
    case 'ad-group':
      return byId(table.adGroupId, (id) => {
        const adGroup = index.adGroups.get(id);
        return adGroup && `${index.campaigns.get(adGroup.campaignId)?.name ?? ''} › ${adGroup.name}`;
      });
    case 'product':
      return byId(table.productId, (id) => index.products.get(id)?.name);
    case 'line':
      return byId(table.lineId, (id) => index.lines.get(id));
    case 'kind':
      return choice((row) => table.kind[row]);
    case 'match':
      return choice((row) => (MATCHES.has(table.kind[row]) ? table.kind[row] : 'no keyword'));
    case 'placement':
      return choice((row) => (entity === 'placement' ? PLACEMENT_LABELS[PLACEMENTS[table.part[row]]] : ''));
    case 'state':
      return choice((row) => STATES[table.state[row]]);
    case 'standing':
      return choice((row) => STANDINGS[table.standing[row]]);
    case 'evidence':
      return choice((row) => GRADES[table.grade[row]]);
  }
}
