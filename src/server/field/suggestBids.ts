import { MowingError } from '../../contract/mowingError';
import type { SuggestionsAnswer } from '../../contract/field';
import { listTargetsToSuggest } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { market } from '../market/market';

/** The market is asked for so many targets at once. */
const AT_ONCE = 1000;

/**
 * What the market suggests to bid on some targets, in their order; null where it knows nothing like them.
 * @throws MowingError when the account has no market, or the market does not answer
 */
export async function suggestBids(accountId: number, ids: number[]): Promise<SuggestionsAnswer> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; no market suggests bids for it.`);
  const targets = new Map((await listTargetsToSuggest(db(), accountId, ids)).map((one) => [one.id, one]));
  const asked = ids.flatMap((id) => targets.get(id) ?? []);
  const found = new Map<number, SuggestionsAnswer['bids'][number]>();
  for (let at = 0; at < asked.length; at += AT_ONCE) {
    const some = asked.slice(at, at + AT_ONCE);
    const answers = await market().suggestBids(
      account.marketId,
      some.map(({ adGroupId, kind, match, expression }) => ({ adGroupId, kind, match, expression })),
    );
    answers.forEach((answer, index) => found.set(some[index].id, answer));
  }
  return { bids: ids.map((id) => found.get(id) ?? null) };
}
