import type { StepName } from '../../../contract/review';
import { showMoneyIn } from '../../../core/units';
import { askSuggestions, keptReview } from '../../../plans/terms';
import type {
  Arranged,
  ArrangeRequest,
  KeptReview,
  LoadedReview,
  Proposal,
  ReviewSettings,
  RowDetail,
} from '../../../plans/terms';
import { api } from '../api';
import { keptLoads } from '../worker/keptLoads';

/** So many windows are kept. */
const KEPT = 2;

/** What the worker asks of the server. */
export type ReviewServer = Pick<typeof api, 'review' | 'suggestNew'>;

/** Loads a window's search terms and answers what is asked of them; lives in a worker. */
export function reviewEngine(server: ReviewServer = api) {
  let lastLoad = 0;
  const loads = keptLoads<KeptReview>(KEPT);
  /** A load that is kept; what is said of it has money with its account's decimals. */
  const ofLoad = (loadId: number) => {
    const held = loads.get(loadId);
    if (held) showMoneyIn(held.loaded.account.currency);
    return held;
  };

  return {
    /** Fetches a window and keeps it. */
    async load(account: number, from?: string, to?: string): Promise<LoadedReview> {
      const loadId = (lastLoad += 1);
      const held = keptReview(loadId, await server.review(account, from, to));
      loads.put(loadId, held);
      return held.forPage();
    },

    /** The rows of a step that meet the conditions, in order, with their proposals and totals; null for another load. */
    async arrange(loadId: number, request: ArrangeRequest): Promise<Arranged | null> {
      const held = ofLoad(loadId);
      if (!held) return null;
      const { id } = held.loaded.account;
      const suggested = await askSuggestions(
        held.suggestionsOpen(request.settings),
        async (targets) => (await server.suggestNew(id, targets)).bids,
      );
      if (suggested) held.keepSuggestions(suggested);
      return ofLoad(loadId)?.arrange(request) ?? null;
    },

    /** The proposals of some rows, also of rows that do not qualify: the specialist chose them by hand. */
    propose(loadId: number, step: StepName, rows: number[], settings: ReviewSettings): Proposal[] {
      const held = ofLoad(loadId);
      return held ? rows.map((row) => held.propose(step, row, settings)) : [];
    },

    /** What the evidence panel tells of one row; null for another load. */
    detail(loadId: number, step: StepName, row: number, settings: ReviewSettings): RowDetail | null {
      return ofLoad(loadId)?.detail(step, row, settings) ?? null;
    },
  };
}

export type ReviewEngine = ReturnType<typeof reviewEngine>;
