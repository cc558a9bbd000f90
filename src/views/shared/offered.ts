import type { AccountInfo } from '../../contract/api';
import { KEYWORD_MATCHES } from '../../core/matching';
import type { KeywordMatch } from '../../core/matching';
import { formatMoney } from '../../core/units';

type Market = Pick<AccountInfo, 'options' | 'currency'> | undefined;

/** The match types that an account's market takes; all where it does not say. */
export const matchesOf = (account: Market): readonly KeywordMatch[] =>
  KEYWORD_MATCHES.filter((match) => account?.options?.matches?.includes(match) ?? true);

/** What it takes bids on. */
export const offersOf = (account: Market) => ({
  matches: matchesOf(account),
  productTargets: account?.options?.productTargets ?? true,
});

/** Whether ads of an account bid: some markets have one price for every click. */
export const hasBids = (account: Market): boolean => !account?.options?.clickPrice;

/** What is to be known where a click has one price; null where ads bid. */
export const clickPriceWords = (account: Market): string | null =>
  hasBids(account)
    ? null
    : `Every click on this market costs ${formatMoney(account!.options!.clickPrice!)} ${account!.currency}: there are no bids to set. What brings less than that is paused; the rest is a matter of budgets.`;
