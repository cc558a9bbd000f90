import { MowingError } from '../../contract/mowingError';
import type { NewTarget, SuggestionsAnswer } from '../../contract/field';
import { listTargetsToSuggest, marketIds } from '../../db/queries/structure';
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
  const marketId = await marketOf(accountId);
  const asked = await listTargetsToSuggest(db(), accountId, ids);
  const answers = await askMarket(marketId, asked);
  const found = new Map(asked.map(({ id }, at) => [id, answers[at]]));
  return { bids: ids.map((id) => found.get(id) ?? null) };
}

/** The same for targets that are not there yet. */
export async function suggestNew(accountId: number, targets: NewTarget[]): Promise<SuggestionsAnswer> {
  const marketId = await marketOf(accountId);
  const ids = await marketIds(
    db(),
    accountId,
    'ad_group',
    targets.map(({ adGroupId }) => adGroupId),
  );
  const known = targets.flatMap((target, at) => {
    const adGroupId = ids.get(target.adGroupId);
    return adGroupId ? [{ ...target, adGroupId, at }] : [];
  });
  const bids: SuggestionsAnswer['bids'] = targets.map(() => null);
  (await askMarket(marketId, known)).forEach((answer, index) => (bids[known[index].at] = answer));
  return { bids };
}

async function marketOf(accountId: number): Promise<string> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; no market suggests bids for it.`);
  return account.marketId;
}

type Question = Omit<NewTarget, 'adGroupId' | 'kind'> & {
  adGroupId: string;
  kind: 'keyword' | 'item' | 'category' | 'brand' | 'auto';
};

async function askMarket(marketId: string, questions: Question[]): Promise<SuggestionsAnswer['bids']> {
  const answers: SuggestionsAnswer['bids'] = [];
  for (let at = 0; at < questions.length; at += AT_ONCE) {
    const some = questions
      .slice(at, at + AT_ONCE)
      .map(({ adGroupId, kind, match, expression }) => ({ adGroupId, kind, match, expression }));
    for (const answer of await market().suggestBids(marketId, some)) answers.push(answer);
  }
  return answers;
}
