import type { StepName } from '../../contract/review';
import { unpack } from '../../contract/packed';
import type { Route } from '../../core/routes';
import type { Day } from '../../core/units';
import type { SettledWindow } from '../../core/windows';
import type { Planned } from '../../plans/steps';
import type { TermAnswers, TermsAskedWith } from '../../plans/termAnswers';
import { askSuggestions } from '../../plans/terms';
import type { ReviewSettings } from '../../plans/terms';
import { accountInfo, needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { loadSince } from '../changes/loadStood';
import { spanKey } from '../context/keptReads';
import { suggestNew } from '../field/suggestBids';
import { askThread } from '../threads/askThread';
import type { Subject } from '../threads/askThread';
import { hashOf, stampOfTerms } from '../threads/stampOf';
import { loadReviewColumns } from './loadReview';

/** Which search terms: of a window or the usual one; as on a day that is past; along other routes than the account's. */
export interface TermsOf {
  from?: string;
  to?: string;
  on?: Day;
  routes?: Route[];
}

/** The search terms of a window, and what a step proposes on them. */
export interface TermReview {
  account: ReturnType<typeof accountInfo>;
  window: SettledWindow;
  /** @param handled keys of rows that are staged or put aside */
  plan: (step: StepName, settings: ReviewSettings, handled: ReadonlySet<string>) => Promise<Planned[]>;
}

/** An account's search terms, gone through beside the application. */
export async function reviewOf(accountId: number, asked: TermsOf): Promise<TermReview> {
  const { from, to, on, routes } = asked;
  const row = await needAccount(accountId, on);
  const window = await chooseWindow(row, from, to);
  const isUsual = on === undefined && routes === undefined;
  const subject: Subject<'terms'> = {
    key: isUsual ? String(accountId) : `${accountId} otherwise`,
    stamp: `${await stampOfTerms(row)} ${spanKey(window)} ${hashOf([on, routes])}`,
    load: async () => {
      const [review, since] = await Promise.all([
        loadReviewColumns(accountId, from, to, on),
        loadSince(accountId, on),
      ]);
      return { review: routes ? { ...review, routes } : review, since };
    },
  };
  const ask = async <Q extends keyof TermsAskedWith>(question: Q, what: TermsAskedWith[Q]) =>
    unpack<TermAnswers[Q]>(await askThread('terms', subject, question, what));
  return {
    account: accountInfo(row),
    window,
    plan: async (step, settings, handled) => {
      const suggested = on === undefined ? await suggestedFor(accountId, ask, settings) : [];
      return (await ask('plan', { step, settings, handled: [...handled], suggested })).planned;
    },
  };
}

/** What the market suggests now; what it would have suggested on a day that is past is not known. */
async function suggestedFor(
  accountId: number,
  ask: (question: 'open', what: TermsAskedWith['open']) => Promise<TermAnswers['open']>,
  settings: ReviewSettings,
) {
  const { open } = await ask('open', { settings });
  return (await askSuggestions(open, async (targets) => (await suggestNew(accountId, targets)).bids)) ?? [];
}
