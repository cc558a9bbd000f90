import { arrangeRows } from '../../core/conditions';
import { harvestOf, proposeHarvests, suggestionKey } from '../../core/harvest';
import type { HarvestProposal } from '../../core/harvest';
import { newTerms, SEEN, TERM_KINDS, writeItemCode } from '../../core/matching';
import { negativeOf, proposeNegatives } from '../../core/negatives';
import type { NegativeProposal } from '../../core/negatives';
import { liveRoutes } from '../../core/routes';
import { neededFor, sumsOfRows, termContext, termReader } from '../../core/terms';
import type { TermContext } from '../../core/terms';
import { dayNumber, daysIn } from '../../core/units';
import type { NewTarget } from '../../contract/field';
import type { ReviewData, StepName } from '../../contract/review';
import { estimate, placeTexts } from './estimates';
import { tell } from './tell';
import { toTermTable } from './toTermTable';
import { rowKey } from './types';
import type {
  Arranged,
  ArrangeRequest,
  LoadedReview,
  Proposal,
  ReviewSettings,
  ReviewTable,
  RowDetail,
} from './types';

/** A term of which the market is asked what to bid in its new home. */
export interface SuggestionAsked {
  key: string;
  target: NewTarget;
}

/** What the market suggests to bid on one, micros. */
export interface Suggested {
  key: string;
  bid: number;
}

/** Search terms of a window with everything that is proposed on them. */
export interface KeptReview {
  loadId: number;
  loaded: ReviewTable;
  /** The same with what a page draws of every row: gone through only where it is drawn. */
  forPage: () => LoadedReview;
  context: TermContext;
  /** Harvests whose routes start from the market's suggestion, each once. */
  suggestionsFor: (settings: ReviewSettings) => SuggestionAsked[];
  /** Those of them whose suggestion was not asked for yet; each is named once. */
  suggestionsOpen: (settings: ReviewSettings) => SuggestionAsked[];
  /** Takes what the market suggests, micros. */
  keepSuggestions: (bids: readonly Suggested[]) => void;
  /** Takes these and forgets all others. */
  keepOnly: (bids: readonly Suggested[]) => void;
  /** The proposals of a step with their reasons, the most worth first, without what was handled. */
  proposals: (step: StepName, settings: ReviewSettings, handled: ReadonlySet<string>) => Proposal[];
  /** The rows of a step that meet the conditions, in order, with their proposals and totals. */
  arrange: (request: ArrangeRequest) => Arranged;
  /** The proposal of a row that the specialist chose, whether it qualifies or not. */
  propose: (step: StepName, row: number, settings: ReviewSettings) => Proposal;
  detail: (step: StepName, row: number, settings: ReviewSettings) => RowDetail;
}

/** The proposals at one set of thresholds, and the reasons told so far. */
interface Proposed {
  key: string;
  harvest: HarvestProposal[];
  negatives: NegativeProposal[];
  told: Map<HarvestProposal | NegativeProposal, Proposal>;
}

/** Makes a window's answer ready: linear in its rows. The last settings' proposals are kept. */
export function keptReview(loadId: number, { rows, ...data }: ReviewData): KeptReview {
  const table = toTermTable(rows, data.historyDays);
  const margins = new Map(data.margins.map(({ productId, share }) => [productId, share]));
  const context = termContext(table, data.structure, margins, data.lists);
  const seen = newTerms(table.firstDay, dayNumber(data.window.from));
  const isNew = Uint8Array.from(table.firstDay, (day) => (seen(day) ? 1 : 0));
  let places: string[] | null = null;
  const suggested = new Map<string, number>();
  const asked = new Set<string>();
  const { limits } = data.account;
  let known: Proposed | null = null;

  const harvestSettings = (settings: ReviewSettings) => ({
    ...settings,
    routes: liveRoutes(data.routes, context.structure),
    days: daysIn(data.window.from, data.window.to),
    suggested,
  });

  function proposed(settings: ReviewSettings): Proposed {
    const key = JSON.stringify(settings);
    if (known?.key !== key)
      known = {
        key,
        harvest: proposeHarvests(context, harvestSettings(settings), limits),
        negatives: proposeNegatives(context, settings, limits),
        told: new Map(),
      };
    return known;
  }

  function told(at: Proposed, one: HarvestProposal | NegativeProposal, settings: ReviewSettings): Proposal {
    const proposal = at.told.get(one) ?? tell(context, one, settings, data.negativeLists, limits);
    at.told.set(one, proposal);
    return proposal;
  }

  const isLeft = (step: StepName, handled: ReadonlySet<string>) => (one: { row: number }) =>
    !handled.has(rowKey(step, table.adGroupId[one.row], table.termId[one.row]));

  /** Harvests come with most expected profit first; negatives are to come by what they cost. */
  function queues(at: Proposed, handled: ReadonlySet<string>) {
    return {
      harvest: at.harvest.filter(isLeft('harvest', handled)),
      negatives: at.negatives
        .filter(isLeft('negatives', handled))
        .sort((a, b) => table.spend[b.row] - table.spend[a.row]),
    };
  }

  function arrange(request: ArrangeRequest): Arranged {
    const at = proposed(request.settings);
    const queue = queues(at, new Set([...request.staged, ...request.aside]));
    const rowsOf = (list: { row: number }[]) => list.map(({ row }) => row);
    const texts = (places ??= placeTexts(context));
    const arranged = arrangeRows(
      termReader(table, {
        term: (row) => context.normalised[row],
        place: (row) => texts[row],
        termKind: (row) => context.kind(row).name,
        seen: (row) => SEEN[isNew[row] === 1 ? 0 : 1],
      }),
      candidatesOf(request, rowsOf(queue[request.step])),
      request.conditions,
      request.sort === null ? [] : [request.sort],
    );
    const wanted = new Set(arranged);
    const proposals = new Map<number, Proposal>();
    for (const one of at[request.step])
      if (wanted.has(one.row)) proposals.set(one.row, told(at, one, request.settings));
    const [toMove, toBlock] = [rowsOf(queue.harvest), rowsOf(queue.negatives)];
    return {
      loadId,
      rows: arranged,
      proposals,
      totals: sumsOfRows(table, arranged),
      steps: [
        {
          step: 'harvest',
          left: toMove.length,
          money: sumsOfRows(table, toMove).sales,
          profit: queue.harvest.reduce((sum, { gain }) => sum + gain.profit, 0),
        },
        {
          step: 'negatives',
          left: toBlock.length,
          money: sumsOfRows(table, toBlock).spend,
          profit: 0,
        },
      ],
    };
  }

  function candidatesOf(request: ArrangeRequest, queue: number[]): Int32Array {
    if (request.show === 'proposed') return Int32Array.from(queue);
    const all = Int32Array.from({ length: table.size }, (_, row) => row);
    if (request.show === 'all') return all;
    const aside = new Set(request.aside);
    return all.filter((row) => aside.has(rowKey(request.step, table.adGroupId[row], table.termId[row])));
  }

  /** @param named keys that were named already; those that are named now join them */
  function suggestionsBeside(settings: ReviewSettings, named: Set<string>): SuggestionAsked[] {
    return proposed(settings).harvest.flatMap(({ row, homeId, match, isItem, asksMarket }) => {
      const key = suggestionKey(homeId, match, context.forms[row]);
      if (!asksMarket || homeId === null || named.has(key)) return [];
      named.add(key);
      const term = table.term[row];
      const target: NewTarget = isItem
        ? { adGroupId: homeId, kind: 'item', match: null, expression: writeItemCode(term) }
        : { adGroupId: homeId, kind: 'keyword', match, expression: term };
      return [{ key, target }];
    });
  }

  function keepSuggestions(bids: readonly Suggested[]): void {
    for (const { key, bid } of bids) suggested.set(key, bid);
    known = null;
  }

  function propose(step: StepName, row: number, settings: ReviewSettings): Proposal {
    const proposal =
      step === 'harvest'
        ? harvestOf(context, row, harvestSettings(settings), limits)
        : negativeOf(context, row);
    return tell(context, proposal, settings, data.negativeLists, limits);
  }

  return {
    loadId,
    loaded: { loadId, ...data, table },
    forPage: () => ({
      loadId,
      ...data,
      table,
      estimates: estimate(context),
      kinds: Uint8Array.from(table.term, (_, row) => TERM_KINDS.indexOf(context.kind(row).name)),
      isNew,
    }),
    context,
    suggestionsFor: (settings) => suggestionsBeside(settings, new Set()),
    suggestionsOpen: (settings) => suggestionsBeside(settings, asked),
    keepSuggestions,
    keepOnly: (bids) => {
      if (bids.length === suggested.size && bids.every(({ key, bid }) => suggested.get(key) === bid)) return;
      suggested.clear();
      keepSuggestions(bids);
    },
    proposals: (step, settings, handled) => {
      const at = proposed(settings);
      return queues(at, handled)[step].map((one) => told(at, one, settings));
    },
    arrange,
    propose,
    detail: (step, row, settings) => {
      const { forms, structure, kind, judged } = context;
      const elsewhere: number[] = [];
      for (let other = 0; other < table.size; other += 1)
        if (other !== row && forms[other] === forms[row]) elsewhere.push(other);
      const adGroup = structure.adGroup(table.adGroupId[row]);
      return {
        proposal: propose(step, row, settings),
        elsewhere,
        exactTargets: structure.exactTargets(forms[row]).map(({ id }) => id),
        negatives: structure.negativesOn(forms[row]),
        isNegativeHere: adGroup !== undefined && structure.isNegativeIn(forms[row], adGroup),
        kind: kind(row),
        isNew: isNew[row] === 1,
        prior: context.prior(row),
        judged: {
          clicks: judged.clicks[row],
          orders: judged.orders[row],
          days: table.history?.days ?? daysIn(data.window.from, data.window.to),
        },
        needed: neededFor(context, row, settings.targetAcos),
      };
    },
  };
}

/**
 * Asks the market for the bids of harvests that start from its suggestion. Without an answer such a bid is what the click is worth, and the
 * reason says so.
 * @param ask in the order of the targets; null where the market knows nothing like it
 * @returns null: the market did not answer
 */
export async function askSuggestions(
  open: readonly SuggestionAsked[],
  ask: (targets: NewTarget[]) => Promise<({ bid: number } | null)[]>,
): Promise<Suggested[] | null> {
  if (open.length === 0) return null;
  const bids = await ask(open.map(({ target }) => target)).catch(() => null);
  return bids && bids.flatMap((one, at) => (one ? [{ key: open[at].key, bid: one.bid }] : []));
}
