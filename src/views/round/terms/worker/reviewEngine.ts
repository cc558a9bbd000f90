import { arrangeRows } from '../../../../core/conditions';
import { harvestOf, harvestReason, proposeHarvests } from '../../../../core/harvest';
import type { HarvestProposal } from '../../../../core/harvest';
import { normaliseTerm } from '../../../../core/matching';
import {
  NEGATIVE_SCOPES,
  negativeOf,
  negativeReason,
  placesOf,
  neededConversion,
  proposeNegatives,
} from '../../../../core/negatives';
import type { NegativeProposal } from '../../../../core/negatives';
import { chanceWithin, sumsOfRow, sumsOfRows, termContext, termReader } from '../../../../core/terms';
import type { TermContext, TermTable } from '../../../../core/terms';
import type { ReviewData, StepName } from '../../../../contract/api';
import { api } from '../../../shared/api';
import { toTermTable } from '../../../shared/toTermTable';
import { rowKey } from './types';
import type {
  Arranged,
  ArrangeRequest,
  Estimates,
  LoadedReview,
  Proposal,
  ReviewSettings,
  RowDetail,
  StepSummary,
} from './types';

interface Loaded {
  loadId: number;
  data: Omit<ReviewData, 'rows'>;
  context: TermContext;
  places: string[];
}

/** The proposals at one set of thresholds, and the reasons told so far. */
interface Proposed {
  key: string;
  harvest: HarvestProposal[];
  negatives: NegativeProposal[];
  told: Map<HarvestProposal | NegativeProposal, Proposal>;
}

/** Loads a window's search terms and answers what is asked of them; lives in a worker. */
export function reviewEngine(fetchReview: typeof api.review = api.review) {
  let lastLoad = 0;
  let loaded: Loaded | null = null;
  let known: Proposed | null = null;

  function proposed({ context, data }: Loaded, settings: ReviewSettings): Proposed {
    const key = JSON.stringify(settings);
    if (known?.key !== key)
      known = {
        key,
        harvest: proposeHarvests(context, { ...settings, routes: data.routes }, data.account.limits),
        negatives: proposeNegatives(context, settings),
        told: new Map(),
      };
    return known;
  }

  return {
    /** Fetches a window and keeps it in place of the one before. */
    async load(account: number, from?: string, to?: string): Promise<LoadedReview> {
      const loadId = (lastLoad += 1);
      const { rows, ...data } = await fetchReview(account, from, to);
      const table = toTermTable(rows);
      const margins = new Map(data.margins.map(({ productId, share }) => [productId, share]));
      const context = termContext(table, data.structure, margins);
      const review = { loadId, ...data, table, estimates: estimate(context) };
      // A slower answer to an earlier request must not take the place of a newer one.
      if (loadId === lastLoad)
        [loaded, known] = [{ loadId, data, context, places: placeTexts(context) }, null];
      return review;
    },

    /** The rows of a step that meet the conditions, in order, with their proposals and totals; null for another load. */
    arrange(loadId: number, request: ArrangeRequest): Arranged | null {
      if (loaded?.loadId !== loadId) return null;
      const { context, places } = loaded;
      const { table, normalised } = context;
      const at = proposed(loaded, request.settings);
      const handled = new Set([...request.staged, ...request.aside]);
      const queueOf = (step: StepName, money: Float64Array) =>
        at[step]
          .map(({ row }) => row)
          .filter((row) => !handled.has(rowKey(step, table.adGroupId[row], table.termId[row])))
          .sort((a, b) => money[b] - money[a]);
      const queue = {
        harvest: queueOf('harvest', table.sales),
        negatives: queueOf('negatives', table.spend),
      };
      const candidates = candidatesOf(request, queue[request.step], table);
      const texts = { term: (row: number) => normalised[row], place: (row: number) => places[row] };
      const rows = arrangeRows(
        termReader(table, texts),
        candidates,
        request.conditions,
        request.sort === null ? [] : [request.sort],
      );
      const wanted = new Set(rows);
      const proposals = new Map<number, Proposal>();
      for (const proposal of at[request.step]) {
        if (!wanted.has(proposal.row)) continue;
        const told = at.told.get(proposal) ?? tell(context, proposal, request.settings);
        at.told.set(proposal, told);
        proposals.set(proposal.row, told);
      }
      const steps: StepSummary[] = [
        { step: 'harvest', left: queue.harvest.length, money: sumsOfRows(table, queue.harvest).sales },
        { step: 'negatives', left: queue.negatives.length, money: sumsOfRows(table, queue.negatives).spend },
      ];
      return { loadId, rows, proposals, totals: sumsOfRows(table, rows), steps };
    },

    /** The proposals of some rows, also of rows that do not qualify: the specialist chose them by hand. */
    propose(loadId: number, step: StepName, rows: number[], settings: ReviewSettings): Proposal[] {
      if (loaded?.loadId !== loadId) return [];
      const { context, data } = loaded;
      return rows.map((row) => proposeByHand(context, step, row, settings, data));
    },

    /** What the evidence panel tells of one row; null for another load. */
    detail(loadId: number, step: StepName, row: number, settings: ReviewSettings): RowDetail | null {
      if (loaded?.loadId !== loadId) return null;
      const { context, data } = loaded;
      const { table, forms, normalised, structure } = context;
      const usual = context.usual(row);
      const elsewhere: number[] = [];
      for (let other = 0; other < table.size; other += 1)
        if (other !== row && normalised[other] === normalised[row]) elsewhere.push(other);
      const adGroup = structure.adGroup(table.adGroupId[row]);
      return {
        proposal: proposeByHand(context, step, row, settings, data),
        elsewhere,
        exactTargets: structure.exactTargets(forms[row]).map(({ id }) => id),
        isNegativeHere: adGroup !== undefined && structure.isNegativeIn(forms[row], adGroup),
        usualConversion: usual.conversion,
        needed: neededConversion(context, row, settings.targetAcos),
      };
    },
  };
}

/** A proposal with its reason. */
function tell(
  context: TermContext,
  proposal: HarvestProposal | NegativeProposal,
  { targetAcos, maxAcos }: ReviewSettings,
): Proposal {
  const sums = sumsOfRow(context.table, proposal.row);
  const places = Object.fromEntries(
    NEGATIVE_SCOPES.map((scope) => [scope, placesOf(context, proposal.row, scope)]),
  ) as Proposal['places'];
  if ('bid' in proposal) {
    const value = context.value(proposal.row)?.mean ?? null;
    const within = chanceWithin(context, proposal.row, maxAcos);
    const chance = within === null ? null : { within, acos: maxAcos };
    const reason = harvestReason(proposal, sums, value, targetAcos, chance);
    return { step: 'harvest', ...proposal, reason, places };
  }
  const reason = negativeReason(context, proposal.row, targetAcos);
  return { step: 'negatives', ...proposal, reason, places };
}

function proposeByHand(
  context: TermContext,
  step: StepName,
  row: number,
  settings: ReviewSettings,
  { account, routes }: Pick<ReviewData, 'account' | 'routes'>,
): Proposal {
  const proposal =
    step === 'harvest'
      ? harvestOf(context, row, { ...settings, routes }, account.limits)
      : negativeOf(context, row);
  return tell(context, proposal, settings);
}

export type ReviewEngine = ReturnType<typeof reviewEngine>;

function candidatesOf(request: ArrangeRequest, queue: number[], table: TermTable): Int32Array {
  if (request.show === 'proposed') return Int32Array.from(queue);
  const all = Int32Array.from({ length: table.size }, (_, row) => row);
  if (request.show === 'all') return all;
  const aside = new Set(request.aside);
  return all.filter((row) => aside.has(rowKey(request.step, table.adGroupId[row], table.termId[row])));
}

/** Campaign and ad group of every row, normalised, for conditions on the place. */
function placeTexts({ table, structure }: TermContext): string[] {
  const known = new Map<number, string>();
  return Array.from(table.adGroupId, (id, row) => {
    let text = known.get(id);
    if (text === undefined) {
      text = normaliseTerm(
        `${structure.campaign(table.campaignId[row])?.name} ${structure.adGroup(id)?.name}`,
      );
      known.set(id, text);
    }
    return text;
  });
}

const GRADES = { thin: 0, fair: 1, strong: 2 };

function estimate(context: TermContext): Estimates {
  const { size } = context.table;
  const estimates: Estimates = {
    rpc: new Float64Array(size),
    low: new Float64Array(size),
    high: new Float64Array(size),
    grade: new Uint8Array(size),
  };
  for (let row = 0; row < size; row += 1) {
    const value = context.value(row);
    if (!value) continue;
    estimates.rpc[row] = value.mean;
    estimates.low[row] = value.low;
    estimates.high[row] = value.high;
    estimates.grade[row] = GRADES[value.grade];
  }
  return estimates;
}
