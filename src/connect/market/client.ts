import { setTimeout as sleep } from 'node:timers/promises';
import type {
  BidSuggestion,
  EntityKind,
  MarketAccount,
  MarketAnswer,
  MarketChange,
  MarketEntities,
  MarketTarget,
  TargetSuggestion,
} from '../../contract/market';
import { MowingError } from '../../contract/mowingError';
import { asker, json } from './ask';
import type { Patience } from './ask';
import { fetchReport } from './fetchReport';
import type { FetchedReport, ReportOrder } from './fetchReport';

/** Days that are passing on a simulated market. */
export interface Clock {
  today: string;
  passing: { done: number; of: number; trouble: string } | null;
}

/** The ad group that is asked about, or the product that a new one will advertise: ids of the market. */
export type SuggestedFor = { adGroup: string } | { product: string };

/** A target of which the market is asked what to bid; it stands in an ad group, or in a new one for a product. */
export type SuggestQuestion = Pick<MarketTarget, 'kind' | 'match' | 'expression'> &
  ({ adGroupId: string } | { productId: string });

/** The port to a market: what Mowing asks of one. */
export interface MarketClient {
  isUp: () => Promise<boolean>;
  accounts: () => Promise<MarketAccount[]>;
  /** All entities of a kind that changed since a cursor (0: all), page after page; and the cursor for the next time. */
  entities: <K extends EntityKind>(
    account: string,
    kind: K,
    since?: number,
  ) => Promise<{ items: MarketEntities[K][]; cursor: number }>;
  /** A report: asked for, waited for, opened. */
  report: (account: string, order: ReportOrder) => Promise<FetchedReport>;
  /** Sends changes; the same key never carries them out twice. */
  sendChanges: (account: string, key: string, changes: MarketChange[]) => Promise<MarketAnswer[]>;
  suggestBids: (account: string, targets: SuggestQuestion[]) => Promise<(BidSuggestion | null)[]>;
  suggestTargets: (account: string, of: SuggestedFor) => Promise<TargetSuggestion[]>;
  /** Gives the market a picture that ads can show. @returns its id, made of its bytes */
  givePicture: (account: string, bytes: Uint8Array) => Promise<string>;
  clock: (account: string) => Promise<Clock>;
  /** Lets days pass; returns at once, `clock` tells how far they are. */
  advance: (account: string, days: number) => Promise<void>;
  /** Pays prepaid money in, micros. */
  topUp: (account: string, amount: number) => Promise<void>;
  /** Has a scenario played up to its present day, unless it is there; tells how far it is. */
  openScenario: (key: string, onProgress?: (done: number, of: number) => void) => Promise<void>;
  dropScenario: (key: string) => Promise<void>;
}

const POLL_MS = 300;
/** Of what a page asks for: better told soon that the market is silent than kept waiting. */
const SOMEBODY_WAITS = { withinMs: 8000, tries: 2 };

/**
 * Client of the stand-in market at `url`. Calls that find no answer are tried again with growing pauses, except those
 * that send changes: their bale is kept and sent again with its key.
 */
export function marketClient(
  url: string,
  secret: string,
  { tries = 4, answerWithinMs = 30_000 }: Partial<Patience> = {},
): MarketClient {
  const market = asker(url, secret, { tries, answerWithinMs });
  const { ask, body } = market;
  return {
    isUp: async () => {
      try {
        return (await fetch(`${url}/health`, { signal: AbortSignal.timeout(2000) })).ok;
      } catch {
        return false;
      }
    },
    accounts: () => body<MarketAccount[]>('/accounts'),
    entities: async <K extends EntityKind>(account: string, kind: K, since = 0) => {
      const items: MarketEntities[K][] = [];
      let cursor: number | null = null;
      for (let after: string | null = ''; after !== null;) {
        const query = new URLSearchParams({ limit: '5000', after, since: String(since) });
        const page: { items: MarketEntities[K][]; next: string | null; cursor: number } = await body(
          `/accounts/${account}/entities/${kind}?${query}`,
        );
        for (const item of page.items) items.push(item);
        cursor ??= page.cursor;
        after = page.next;
      }
      return { items, cursor: cursor! };
    },
    report: (account, order) => fetchReport(market, account, order),
    sendChanges: async (account, key, changes) => {
      const init = json({ changes }, { 'idempotency-key': key });
      return (await body<{ answers: MarketAnswer[] }>(`/accounts/${account}/changes`, init, { tries: 1 }))
        .answers;
    },
    suggestBids: async (account, targets) =>
      (
        await body<{ suggestions: (BidSuggestion | null)[] }>(
          `/accounts/${account}/suggestions/bids`,
          json({ targets }),
          SOMEBODY_WAITS,
        )
      ).suggestions,
    suggestTargets: async (account, of) =>
      (
        await body<{ suggestions: TargetSuggestion[] }>(
          `/accounts/${account}/suggestions/targets?${new URLSearchParams({ limit: '200', ...of })}`,
          {},
          SOMEBODY_WAITS,
        )
      ).suggestions,
    givePicture: async (account, bytes) =>
      (
        await body<{ id: string }>(
          `/accounts/${account}/pictures`,
          json({ bytes: Buffer.from(bytes).toString('base64') }),
          SOMEBODY_WAITS,
        )
      ).id,
    clock: (account) => body<Clock>(`/accounts/${account}/clock`),
    advance: async (account, days) =>
      void (await ask(`/accounts/${account}/advance`, json({ days }), { tries: 1 })),
    topUp: async (account, amount) =>
      void (await ask(`/accounts/${account}/funds`, json({ amount }), { tries: 1 })),
    openScenario: async (key, onProgress = () => {}) => {
      await ask(`/scenarios/${key}`, { method: 'POST' });
      for (;;) {
        const { done, of, trouble } = await body<{ done: number; of: number; trouble: string }>(
          `/scenarios/${key}`,
        );
        if (trouble !== '')
          throw new MowingError('market-refused', `The market could not open ${key}: ${trouble}`);
        if (done >= of) return;
        onProgress(done, of);
        await sleep(POLL_MS);
      }
    },
    dropScenario: async (key) =>
      void (await ask(`/scenarios/${key}`, { method: 'DELETE' }, { withinMs: 250_000 })),
  };
}
