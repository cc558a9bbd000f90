import { movedMeasure } from '../conditions';
import type { ChoiceKey, ExtraKey, NumberKey, RowReader } from '../conditions';
import { normaliseTerm, SEEN } from '../matching';
import { businessMeasure, measure } from '../measures';
import type { BusinessMeasureKey, MeasureKey } from '../measures';
import { lensNamed } from './lens';
import { GRADES, STANDINGS, STATES } from './lensTable';
import type { LensTable } from './lensTable';
import { sumsAt } from './sumColumns';
import type { SumColumns } from './sumColumns';

type NumberAt = (row: number) => number | null;

const known = (value: number) => (Number.isNaN(value) ? null : value);

/** Reads any measure of columns of sums. */
export function measureReader(columns: SumColumns, key: MeasureKey): NumberAt {
  if (key in columns) {
    const column = columns[key as keyof SumColumns];
    return (row) => column[row];
  }
  const { of } = measure(key);
  return (row) => of(sumsAt(columns, row));
}

/** Reads the rows of a lens for conditions, sorting, pictures and the cross-tab. Texts are normalised once. */
export function lensReader(table: LensTable): RowReader {
  const names = once(table.name);
  const places = once(table.place);
  const choices: Record<ChoiceKey, (row: number) => string> = {
    kind: (row) => table.kind[row],
    state: (row) => STATES[table.state[row]],
    standing: (row) => STANDINGS[table.standing[row]],
    evidence: (row) => GRADES[table.grade[row]],
    termKind: (row) => table.termKind[row],
    chosen: (row) => chosenBy(table, row),
    // What the round proposes, and what a row hangs below, is told where plan and tree are known.
    judged: () => '',
    running: () => '',
    campaignState: () => '',
    flex: () => '',
    aim: () => '',
    // Of organic ranks alone.
    coreTerm: () => '',
    lossAccepted: () => '',
    seen: (row) => (table.termKind[row] === '' ? '' : SEEN[table.isNew[row] === 1 ? 0 : 1]),
  };
  return {
    size: table.size,
    number: (key) => numberReader(table, key),
    text: (key) => (key === 'place' ? places : key === 'product' || key === 'line' ? () => '' : names),
    choice: (key) => choices[key],
  };
}

/** Kinds of targets that are chosen by hand; the others are automatic groups. */
const BY_HAND: ReadonlySet<string> = new Set(['exact', 'phrase', 'broad', 'item', 'category', 'brand']);

function chosenBy({ lens, kind }: LensTable, row: number): string {
  const { entity } = lensNamed(lens);
  if (entity !== 'target' && entity !== 'term') return '';
  return BY_HAND.has(kind[row]) ? 'by hand' : 'automatic';
}

function numberReader(table: LensTable, key: NumberKey): NumberAt {
  const moved = movedMeasure(key);
  if (moved !== null) {
    if (!table.isBeforeCovered) return () => null;
    const [now, before] = [measureReader(table.now, moved), measureReader(table.before, moved)];
    return (row) => {
      const [a, b] = [now(row), before(row)];
      return a === null || b === null ? null : a - b;
    };
  }
  // What a plan says is read where there is one.
  if (key.startsWith('plan.') || key.startsWith('rank.')) return () => null;
  const extra = EXTRA[key as ExtraKey];
  return extra ? extra(table) : measureReader(table.now, key as MeasureKey);
}

const EXTRA: Record<ExtraKey, (table: LensTable) => NumberAt> = {
  bid:
    ({ value }) =>
    (row) =>
      known(value[row]),
  targetAcos:
    ({ targetAcos }) =>
    (row) =>
      known(targetAcos[row]),
  age:
    ({ age }) =>
    (row) =>
      known(age[row]),
  vsTarget:
    ({ now, targetAcos }) =>
    (row) => {
      const { spend, sales } = now;
      return sales[row] === 0 ? null : known(spend[row] / sales[row] / targetAcos[row]);
    },
  loss:
    ({ now, targetAcos }) =>
    (row) =>
      known(now.spend[row] - targetAcos[row] * now.sales[row]),
  profit:
    ({ now, margin }) =>
    (row) =>
      known(margin[row] * now.sales[row] - now.spend[row]),
  totalSales: (table) => ofBusiness(table, 'totalSales'),
  organicSales: (table) => ofBusiness(table, 'organicSales'),
  tacos: (table) => ofBusiness(table, 'tacos'),
  breakEvenLoss:
    ({ now, margin }) =>
    (row) =>
      known(now.spend[row] - margin[row] * now.sales[row]),
};

/** What is told of all sales, with ads or without. */
function ofBusiness({ now, totalSales }: LensTable, key: BusinessMeasureKey): NumberAt {
  const { of } = businessMeasure(key);
  return (row) => of({ ...sumsAt(now, row), totalSales: known(totalSales[row]), margin: null });
}

/** Texts normalised as they are first needed: a table that nobody searches is not normalised at all. */
function once(texts: string[]): (row: number) => string {
  const forms = new Map<string, string>();
  const byRow: string[] = [];
  return (row) => {
    let form = byRow[row];
    if (form === undefined) {
      const text = texts[row];
      form = forms.get(text) ?? normaliseTerm(text);
      forms.set(text, form);
      byRow[row] = form;
    }
    return form;
  };
}
