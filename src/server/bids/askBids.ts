import type { BidQuestion, RoundSettings } from '../../contract/bids';
import { unpack } from '../../contract/packed';
import type { BidAnswers, BidsAsked } from '../../plans/bidAnswers';
import { needAccount } from '../accounts/accounts';
import { keptRead } from '../context/keptReads';
import { loadTreeColumns } from '../field/loadTree';
import { loadBidFeed } from './loadBidFeed';
import { askThread } from '../threads/askThread';
import type { Subject } from '../threads/askThread';
import type { Engines } from '../threads/engines';
import { hashOf, stampOf } from '../threads/stampOf';

/** Bids worked out from something else than what stands now; the stamp says from what. */
export interface Otherwise {
  stamp: string;
  load: (accountId: number) => Promise<Engines['bids']['from']>;
}

/** An account's bids in the state that it is in. */
async function bidsOf(accountId: number, other?: Otherwise): Promise<Subject<'bids'>> {
  const stamp = await stampOf(await needAccount(accountId));
  if (other)
    return {
      key: `${accountId} otherwise`,
      stamp: `${stamp} ${other.stamp}`,
      load: () => other.load(accountId),
    };
  return {
    key: String(accountId),
    stamp,
    load: async () => {
      const [tree, feed] = await Promise.all([loadTreeColumns(accountId), loadBidFeed(accountId)]);
      return { tree, feed };
    },
  };
}

/** Questions that take long and are asked beside others, so that those need not wait for them. */
const BESIDE: ReadonlySet<keyof BidsAsked> = new Set(['placements', 'placementStep', 'budgets', 'shares']);

/** Of these the last answer is kept: every visit to the round asks them, mostly at the same settings. */
const KEPT: ReadonlySet<keyof BidsAsked> = new Set(['placements', 'budgets']);

/** Asks about an account's bids. @param other left out: as everything stands now */
export async function askBids<Q extends keyof BidsAsked>(
  accountId: number,
  question: Q,
  asked: BidsAsked[Q],
  other?: Otherwise,
): Promise<BidAnswers[Q]> {
  return unpack(await ask(accountId, question, asked, other));
}

/** The same as the bytes that it travels in. */
export const packedBids = <Q extends BidQuestion>(accountId: number, question: Q, asked: BidsAsked[Q]) =>
  ask(accountId, question, asked);

async function ask<Q extends keyof BidsAsked>(
  accountId: number,
  question: Q,
  asked: BidsAsked[Q],
  other?: Otherwise,
): Promise<ArrayBuffer> {
  const engine = BESIDE.has(question) ? 'money' : 'bids';
  const bids = await bidsOf(accountId, other);
  const anew = () => askThread<'bids' | 'money', Q>(engine, bids, question, asked);
  const isKept = !other && KEPT.has(question);
  return isKept ? keptRead(`bids ${accountId} ${question}`, `${bids.stamp} ${hashOf(asked)}`, anew) : anew();
}

/**
 * A bid for every target of an account at some settings, packed: from memory while those and the account stay as they are.
 * @param known the base of a plan that is there already: of one on the same base only the columns that may differ are told
 */
export async function loadBidPlan(
  accountId: number,
  settings: RoundSettings,
  known?: string,
): Promise<ArrayBuffer> {
  const bids = await bidsOf(accountId);
  const stamp = `${bids.stamp} ${hashOf(settings)}`;
  if (known === undefined)
    return keptRead(`bids ${accountId} plan`, stamp, () => askThread('bids', bids, 'plan', { settings }));
  return keptRead(`bids ${accountId} plan from`, `${stamp} ${known}`, () =>
    askThread('bids', bids, 'planFrom', { settings, known }),
  );
}
