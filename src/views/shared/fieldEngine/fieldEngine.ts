import { arrangeRows } from '../../../core/conditions';
import {
  buildLens,
  knownTerms,
  crossTabOf,
  lensNamed,
  pathOf,
  rankRows,
  rowsInScope,
  isTime,
  spreadOf,
} from '../../../core/lenses';
import type { LensName } from '../../../core/lenses';
import type { AskedWindow } from '../../../contract/requests';
import type { Window } from '../../../core/windows';
import { api } from '../api';
import { keptLoads } from '../worker/keptLoads';
import { loadPeriods } from './loadPeriods';
import type { DataVersion } from './dataVersion';
import { planByRows } from '../../../core/bids';
import type { PlanColumns } from '../../../core/bids';
import { arrangeBids, planReader } from '../../../plans/bids';
import { findInTree, keptLens } from '../../../plans/field';
import type { ArrangedBids, BidsAsked, RoundSettings } from '../../../plans/bids';
import { campaignSteps } from './campaignSteps';
import { engineData } from './engineData';
import type { FieldServer } from './engineData';
import type {
  ArrangedRows,
  CrossTab,
  Dimension,
  ElsewhereRow,
  Found,
  KeptLens,
  LoadedLens,
  PictureAnswer,
  PictureAsked,
  RowsAsked,
} from '../../../plans/field';

const MOST_ELSEWHERE = 12;
/** Loads are kept up to so many rows together. */
const MOST_ROWS = 700_000;

/** What is kept of a load: the lens, and the last plan that was asked for by its rows. */
interface Held {
  account: number;
  version: DataVersion;
  lens: KeptLens;
  plan: { key: string; columns: PlanColumns } | null;
}

/** Loads an account's figures and answers what is asked of them; lives in a worker. */
export function fieldEngine(server: FieldServer = api) {
  let lastLoad = 0;
  const loads = keptLoads<Held>(MOST_ROWS, ({ lens }) => lens.table.size);
  const { treeOf, outlineOf, sumsOf, planOf } = engineData(server);

  const ofLoad = (loadId: number) => loads.get(loadId)?.lens ?? null;

  /** The plan by the rows of a load; null for another load, and where rows are no targets. */
  async function planByLoad(loadId: number, settings: RoundSettings): Promise<PlanColumns | null> {
    const at = loads.get(loadId);
    if (!at || lensNamed(at.lens.table.lens).entity !== 'target') return null;
    const key = JSON.stringify(settings);
    if (at.plan?.key === key) return at.plan.columns;
    const plan = await planOf(at.account, at.version, settings);
    const { table } = at.lens;
    const columns = planByRows(plan, table.size, (row) => table.targetId[row]);
    at.plan = { key, columns };
    return columns;
  }

  /** Reads the rows of a load together with what the round proposes for them; null where it judges no such rows. */
  async function judgedReader(loadId: number, settings: RoundSettings) {
    const columns = await planByLoad(loadId, settings);
    const at = ofLoad(loadId);
    return columns && at && planReader(at.reader, columns, at.table);
  }

  /** Fetches the figures of a lens and keeps them. Sums stay as they are under another target. */
  async function load(
    account: number,
    version: DataVersion,
    lens: LensName,
    asked: AskedWindow = {},
  ): Promise<LoadedLens> {
    const loadId = (lastLoad += 1);
    const { grain } = lensNamed(lens);
    const needsTargets = grain === 'target' || grain === 'term';
    const [index, { grainSums, terms, ...rest }] = await Promise.all([
      needsTargets ? treeOf(account, version) : outlineOf(account, version),
      sumsOf(account, version, grain, asked),
    ]);
    const known = grain === 'term' ? knownTerms(terms, rest.window.from, index.tree.lists) : undefined;
    const table = buildLens(lens, index, grainSums, known);
    loads.put(loadId, { account, version, lens: keptLens(loadId, table, index), plan: null });
    return { loadId, ...rest, table };
  }

  return {
    load,
    ...campaignSteps({ server, load, treeOf, outlineOf, sumsOf, loads }),

    /** Asks for a plan that will be wanted, before its rows are here. */
    readPlan(account: number, version: DataVersion, settings: RoundSettings): void {
      planOf(account, version, settings).catch(() => undefined); // told to whoever waits for it
    },

    /** The plan at some settings, by row; null for another load. */
    async planBids(
      loadId: number,
      settings: RoundSettings,
    ): Promise<(PlanColumns & { loadId: number }) | null> {
      const columns = await planByLoad(loadId, settings);
      return columns && { ...columns, loadId };
    },

    /** The rows of a step that tunes bids; null for another load. */
    async arrangeBids(loadId: number, asked: BidsAsked): Promise<ArrangedBids | null> {
      const columns = await planByLoad(loadId, asked.settings);
      const at = ofLoad(loadId);
      return at && columns && arrangeBids(at, columns, asked);
    },

    /** The rows that are asked for, with their sums; null for another load. */
    async arrange(loadId: number, asked: RowsAsked): Promise<ArrangedRows | null> {
      const at = ofLoad(loadId);
      if (!at) return null;
      const { scope, stack } = asked;
      const judged = asked.judge && (await judgedReader(loadId, asked.judge.settings));
      const reader = judged ?? at.reader;
      const order = judged
        ? arrangeRows(judged, rowsInScope(at.table, null), [], asked.sorts)
        : at.orderBy(asked.sorts);
      const inScope = scope === null ? order : rowsInScope(at.table, scope, order);
      const rows = arrangeRows(reader, inScope, stack, []);
      const set = JSON.stringify([scope, stack, asked.judge]);
      return {
        loadId,
        rows,
        set,
        inScope: inScope.length,
        ...at.sumsOf(set, rows),
        path: pathOf(at.index, scope),
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

    /** A cross-tab of some rows, by week and month from the days of a window; null for another load. */
    async cross(
      loadId: number,
      rows: Int32Array,
      [down, across]: [Dimension, Dimension],
      { account, window }: { account: number; window: Window },
    ): Promise<CrossTab | null> {
      const at = ofLoad(loadId);
      if (!at) return null;
      const steps = [...new Set([down, across].filter(isTime))];
      const periods =
        steps.length === 0 ? undefined : await loadPeriods(account, at.table, rows, window, steps);
      return crossTabOf(at.table, rows, at.index, down, across, periods);
    },

    /** Other rows of the lens with the same words or item; most clicks first. */
    elsewhere(loadId: number, row: number): ElsewhereRow[] {
      const at = ofLoad(loadId);
      if (!at || !lensNamed(at.table.lens).hasWords) return [];
      const { place, kind, now } = at.table;
      return at
        .sameWords(row)
        .filter((other) => other !== row)
        .sort((a, b) => now.clicks[b] - now.clicks[a])
        .slice(0, MOST_ELSEWHERE)
        .map((other) => ({
          row: other,
          place: place[other],
          kind: kind[other],
          clicks: now.clicks[other],
          orders: now.orders[other],
        }));
    },

    /** Campaigns, ad groups, products, targets and search terms whose name holds every word. */
    async find(account: number, version: DataVersion, text: string): Promise<Found[]> {
      const index = await treeOf(account, version);
      const terms = (await sumsOf(account, version, 'term', {})).terms;
      return findInTree(index, terms.text, text);
    },
  };
}

export type FieldEngine = ReturnType<typeof fieldEngine>;
