import { arrangeRows } from '../../../../core/conditions';
import { harvestOf, proposeHarvests, suggestionKey } from '../../../../core/harvest';
import type { HarvestProposal } from '../../../../core/harvest';
import { newTerms, SEEN, TERM_KINDS, writeItemCode } from '../../../../core/matching';
import { liveRoutes } from '../../../../core/routes';
import { negativeOf, neededConversion, proposeNegatives } from '../../../../core/negatives';
import type { NegativeProposal } from '../../../../core/negatives';
import { sumsOfRows, termContext, termReader } from '../../../../core/terms';
import type { TermContext, TermTable } from '../../../../core/terms';
import { dayNumber, daysIn } from '../../../../core/units';
import type { NewTarget } from '../../../../contract/field';
import type { ReviewData, StepName } from '../../../../contract/review';
import { api } from '../../../shared/api';
import { toTermTable } from '../../../shared/toTermTable';
import { estimate, placeTexts } from './prepare';
import { tell } from './tell';
import { rowKey } from './types';
import type {
  Arranged,
  ArrangeRequest,
  LoadedReview,
  Proposal,
  ReviewSettings,
  RowDetail,
  StepSummary,
} from './types';

/** What the worker asks of the server. */
export interface ReviewServer {
  review: typeof api.review;
  suggestNew: typeof api.suggestNew;
}

interface Loaded {
  loadId: number;
  data: Omit<ReviewData, 'rows'>;
  context: TermContext;
  places: string[];
  isNew: Uint8Array;
  /** What the market suggests to bid, as far as it was asked. */
  suggested: Map<string, number>;
  /** What it was asked for, with or without an answer. */
  asked: Set<string>;
}

/** The proposals at one set of thresholds, and the reasons told so far. */
interface Proposed {
  key: string;
  harvest: HarvestProposal[];
  negatives: NegativeProposal[];
  told: Map<HarvestProposal | NegativeProposal, Proposal>;
}

/** Loads a window's search terms and answers what is asked of them; lives in a worker. */
export function reviewEngine(server: ReviewServer = api) {
  let lastLoad = 0;
  let loaded: Loaded | null = null;
  let known: Proposed | null = null;

  async function proposed(at: Loaded, settings: ReviewSettings): Promise<Proposed> {
    const key = `${at.loadId} ${JSON.stringify(settings)}`;
    if (known?.key === key) return known;
    const harvests = () => proposeHarvests(at.context, harvestSettings(at, settings), at.data.account.limits);
    let harvest = harvests();
    if (await suggestFor(at, harvest)) harvest = harvests();
    known = {
      key,
      harvest,
      negatives: proposeNegatives(at.context, settings, at.data.account.limits),
      told: new Map(),
    };
    return known;
  }

  /** Asks the market for the bids of harvests whose routes start from its suggestion. @returns whether anything new is known */
  async function suggestFor(at: Loaded, harvests: HarvestProposal[]): Promise<boolean> {
    const { table, forms } = at.context;
    const open = harvests.flatMap(({ row, homeId, match, isItem, asksMarket }) => {
      const key = suggestionKey(homeId, match, forms[row]);
      if (!asksMarket || homeId === null || at.asked.has(key)) return [];
      at.asked.add(key);
      const term = table.term[row];
      const target: NewTarget = isItem
        ? { adGroupId: homeId, kind: 'item', match: null, expression: writeItemCode(term) }
        : { adGroupId: homeId, kind: 'keyword', match, expression: term };
      return [{ key, target }];
    });
    if (open.length === 0) return false;
    // Without an answer the bid is what the click is worth, and the reason says so.
    const answer = await server
      .suggestNew(
        at.data.account.id,
        open.map(({ target }) => target),
      )
      .catch(() => null);
    answer?.bids.forEach((one, index) => one && at.suggested.set(open[index].key, one.bid));
    return answer !== null;
  }

  return {
    /** Fetches a window and keeps it in place of the one before. */
    async load(account: number, from?: string, to?: string): Promise<LoadedReview> {
      const loadId = (lastLoad += 1);
      const { rows, ...data } = await server.review(account, from, to);
      const table = toTermTable(rows);
      const margins = new Map(data.margins.map(({ productId, share }) => [productId, share]));
      const context = termContext(table, data.structure, margins, data.lists);
      const seen = newTerms(table.firstDay, dayNumber(data.window.from));
      const isNew = Uint8Array.from(table.firstDay, (day) => (seen(day) ? 1 : 0));
      const kinds = Uint8Array.from(table.term, (_, row) => TERM_KINDS.indexOf(context.kind(row).name));
      const review = { loadId, ...data, table, estimates: estimate(context), kinds, isNew };
      // A slower answer to an earlier request must not take the place of a newer one.
      if (loadId === lastLoad) {
        const places = placeTexts(context);
        loaded = { loadId, data, context, places, isNew, suggested: new Map(), asked: new Set() };
        known = null;
      }
      return review;
    },

    /** The rows of a step that meet the conditions, in order, with their proposals and totals; null for another load. */
    async arrange(loadId: number, request: ArrangeRequest): Promise<Arranged | null> {
      const held = loaded;
      if (held?.loadId !== loadId) return null;
      const { context, places, isNew, data } = held;
      const { table, normalised } = context;
      const at = await proposed(held, request.settings);
      const handled = new Set([...request.staged, ...request.aside]);
      const isLeft = (step: StepName) => (row: number) =>
        !handled.has(rowKey(step, table.adGroupId[row], table.termId[row]));
      // Harvests come with most expected profit first; negatives are to come by what they cost.
      const harvests = at.harvest.filter(({ row }) => isLeft('harvest')(row));
      const queue = {
        harvest: harvests.map(({ row }) => row),
        negatives: at.negatives
          .map(({ row }) => row)
          .filter(isLeft('negatives'))
          .sort((a, b) => table.spend[b] - table.spend[a]),
      };
      const candidates = candidatesOf(request, queue[request.step], table);
      const words = {
        term: (row: number) => normalised[row],
        place: (row: number) => places[row],
        termKind: (row: number) => context.kind(row).name,
        seen: (row: number) => SEEN[isNew[row] === 1 ? 0 : 1],
      };
      const rows = arrangeRows(
        termReader(table, words),
        candidates,
        request.conditions,
        request.sort === null ? [] : [request.sort],
      );
      const wanted = new Set(rows);
      const proposals = new Map<number, Proposal>();
      for (const proposal of at[request.step]) {
        if (!wanted.has(proposal.row)) continue;
        const told = at.told.get(proposal) ?? tell(context, proposal, request.settings, data.negativeLists);
        at.told.set(proposal, told);
        proposals.set(proposal.row, told);
      }
      const steps: StepSummary[] = [
        {
          step: 'harvest',
          left: queue.harvest.length,
          money: sumsOfRows(table, queue.harvest).sales,
          profit: harvests.reduce((sum, { gain }) => sum + gain.profit, 0),
        },
        {
          step: 'negatives',
          left: queue.negatives.length,
          money: sumsOfRows(table, queue.negatives).spend,
          profit: 0,
        },
      ];
      return { loadId, rows, proposals, totals: sumsOfRows(table, rows), steps };
    },

    /** The proposals of some rows, also of rows that do not qualify: the specialist chose them by hand. */
    propose(loadId: number, step: StepName, rows: number[], settings: ReviewSettings): Proposal[] {
      const held = loaded;
      if (held?.loadId !== loadId) return [];
      return rows.map((row) => proposeByHand(held, step, row, settings));
    },

    /** What the evidence panel tells of one row; null for another load. */
    detail(loadId: number, step: StepName, row: number, settings: ReviewSettings): RowDetail | null {
      const held = loaded;
      if (held?.loadId !== loadId) return null;
      const { table, forms, structure, usual, kind } = held.context;
      const elsewhere: number[] = [];
      for (let other = 0; other < table.size; other += 1)
        if (other !== row && forms[other] === forms[row]) elsewhere.push(other);
      const adGroup = structure.adGroup(table.adGroupId[row]);
      return {
        proposal: proposeByHand(held, step, row, settings),
        elsewhere,
        exactTargets: structure.exactTargets(forms[row]).map(({ id }) => id),
        negatives: structure.negativesOn(forms[row]),
        isNegativeHere: adGroup !== undefined && structure.isNegativeIn(forms[row], adGroup),
        kind: kind(row),
        isNew: held.isNew[row] === 1,
        usualConversion: usual(row).conversion,
        needed: neededConversion(held.context, row, settings.targetAcos),
      };
    },
  };
}

const harvestSettings = ({ data, context, suggested }: Loaded, settings: ReviewSettings) => ({
  ...settings,
  routes: liveRoutes(data.routes, context.structure),
  days: daysIn(data.window.from, data.window.to),
  suggested,
});

function proposeByHand(held: Loaded, step: StepName, row: number, settings: ReviewSettings): Proposal {
  const { context, data } = held;
  const proposal =
    step === 'harvest'
      ? harvestOf(context, row, harvestSettings(held, settings), data.account.limits)
      : negativeOf(context, row);
  return tell(context, proposal, settings, data.negativeLists);
}

export type ReviewEngine = ReturnType<typeof reviewEngine>;

function candidatesOf(request: ArrangeRequest, queue: number[], table: TermTable): Int32Array {
  if (request.show === 'proposed') return Int32Array.from(queue);
  const all = Int32Array.from({ length: table.size }, (_, row) => row);
  if (request.show === 'all') return all;
  const aside = new Set(request.aside);
  return all.filter((row) => aside.has(rowKey(request.step, table.adGroupId[row], table.termId[row])));
}
