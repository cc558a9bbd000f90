import { arrangeRows } from '../../../core/conditions';
import {
  buildLens,
  crossTabOf,
  indexTree,
  lensNamed,
  lensReader,
  pathOf,
  rankRows,
  rowsInScope,
  spreadOf,
  sumOfRows,
  sumStandings,
} from '../../../core/lenses';
import type { LensGrain, LensName, LensTable, TreeIndex } from '../../../core/lenses';
import type { RowReader } from '../../../core/conditions';
import { matchForm } from '../../../core/matching';
import { api } from '../api';
import { findInTree } from './findInTree';
import { overviewOf } from './overviewParts';
import { toGrainSums } from './toGrainSums';
import type { LoadedSums } from './toGrainSums';
import type {
  ArrangedRows,
  CrossTab,
  Dimension,
  ElsewhereRow,
  Found,
  LoadedLens,
  OverviewParts,
  PictureAnswer,
  PictureAsked,
  RowsAsked,
} from './types';

interface Loaded {
  loadId: number;
  table: LensTable;
  reader: RowReader;
  index: TreeIndex;
}

/** Sums of so many windows and grains are kept, the oldest let go. */
const SUMS_KEPT = 4;
const MOST_ELSEWHERE = 12;

/** Loads an account's figures and answers what is asked of them; lives in a worker. */
export function fieldEngine(server: Pick<typeof api, 'tree' | 'fieldSums'> = api) {
  let lastLoad = 0;
  let loaded: Loaded | null = null;
  let known: { key: string; index: Promise<TreeIndex> } | null = null;
  const sums = new Map<string, Promise<LoadedSums>>();

  /** The account's tree; asked for anew when its version is another one. */
  function treeOf(account: number, version: number): Promise<TreeIndex> {
    const key = `${account} ${version}`;
    if (known?.key !== key) known = { key, index: server.tree(account).then(indexTree) };
    const { index } = known;
    index.catch(() => (known = null)); // a failure is not kept
    return index;
  }

  function sumsOf(account: number, version: number, grain: LensGrain, from?: string, to?: string) {
    const key = `${account} ${version} ${grain} ${from} ${to}`;
    let asked = sums.get(key);
    if (!asked) {
      asked = server.fieldSums(account, grain, from, to).then(toGrainSums);
      asked.catch(() => sums.delete(key));
      sums.set(key, asked);
      if (sums.size > SUMS_KEPT) sums.delete(sums.keys().next().value!);
    }
    return asked;
  }

  const ofLoad = (loadId: number) => (loaded?.loadId === loadId ? loaded : null);

  function arranged({ table, reader }: Loaded, { scope, stack, sorts }: RowsAsked) {
    const inScope = rowsInScope(table, scope);
    return { inScope, rows: arrangeRows(reader, inScope, stack, sorts) };
  }

  return {
    /** Fetches the figures of a lens and keeps them in place of those before. `version` counts syncs and sent changes. */
    async load(
      account: number,
      version: number,
      lens: LensName,
      from?: string,
      to?: string,
    ): Promise<LoadedLens> {
      const loadId = (lastLoad += 1);
      const { grain } = lensNamed(lens);
      const [index, { grainSums, terms, ...rest }] = await Promise.all([
        treeOf(account, version),
        sumsOf(account, version, grain, from, to),
      ]);
      const table = buildLens(lens, index, grainSums, terms);
      // A slower answer to an earlier request must not take the place of a newer one.
      if (loadId === lastLoad) loaded = { loadId, table, reader: lensReader(table), index };
      return { loadId, ...rest, table };
    },

    /** The rows that are asked for, with their sums; null for another load. */
    arrange(loadId: number, asked: RowsAsked): ArrangedRows | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      const { inScope, rows } = arranged(at, asked);
      return {
        loadId,
        rows,
        inScope: inScope.length,
        now: sumOfRows(at.table.now, rows),
        before: sumOfRows(at.table.before, rows),
        standings: sumStandings(at.table, rows),
        path: pathOf(at.index, asked.scope),
      };
    },

    /** What a picture of some rows is drawn from; null for another load. */
    picture(loadId: number, rows: Int32Array, asked: PictureAsked): PictureAnswer | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      const read = at.reader.number(asked.measure);
      if (asked.kind === 'histogram')
        return { kind: 'histogram', spread: spreadOf(rows, read, (row) => at.table.now.spend[row]) };
      return { kind: 'bars', ranking: rankRows(rows, read, asked.most, asked.isAdditive) };
    },

    /** A cross-tab of some rows; null for another load. */
    cross(loadId: number, rows: Int32Array, down: Dimension, across: Dimension): CrossTab | null {
      const at = ofLoad(loadId);
      return at && crossTabOf(at.table, rows, at.index, down, across);
    },

    /** Other rows of the lens with the same words or item; most clicks first. */
    elsewhere(loadId: number, row: number): ElsewhereRow[] {
      const at = ofLoad(loadId);
      if (!at || !['keywords', 'items', 'terms'].includes(at.table.lens)) return [];
      const { table } = at;
      const form = matchForm(table.name[row]);
      const rows: ElsewhereRow[] = [];
      const forms = new Map<string, boolean>();
      for (let other = 0; other < table.size; other += 1) {
        if (other === row) continue;
        const name = table.name[other];
        let isSame = forms.get(name);
        if (isSame === undefined) forms.set(name, (isSame = matchForm(name) === form));
        if (!isSame) continue;
        rows.push({
          row: other,
          place: table.place[other],
          kind: table.kind[other],
          clicks: table.now.clicks[other],
          orders: table.now.orders[other],
        });
      }
      return rows.sort((a, b) => b.clicks - a.clicks).slice(0, MOST_ELSEWHERE);
    },

    /** Campaigns, ad groups, products, targets and search terms whose name holds every word. */
    async find(account: number, version: number, text: string): Promise<Found[]> {
      const index = await treeOf(account, version);
      const terms = (await sumsOf(account, version, 'term')).terms;
      return findInTree(index, terms.values(), text);
    },

    /** What the account's targets tell about it as a whole. */
    async overview(account: number, version: number, from?: string, to?: string): Promise<OverviewParts> {
      const [index, { grainSums }] = await Promise.all([
        treeOf(account, version),
        sumsOf(account, version, 'target', from, to),
      ]);
      return overviewOf(index, grainSums);
    },
  };
}

export type FieldEngine = ReturnType<typeof fieldEngine>;
