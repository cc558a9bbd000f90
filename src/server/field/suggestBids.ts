import { MowingError } from '../../contract/mowingError';
import type { NewTarget, SuggestionsAnswer } from '../../contract/field';
import { listTargetsToSuggest, marketIds } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import type { SuggestQuestion } from '../../connect/market';
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
  const answers = await askMarket(
    marketId,
    asked.map(({ adGroupId, kind, match, expression }) => ({ adGroupId, kind, match, expression })),
  );
  const found = new Map(asked.map(({ id }, at) => [id, answers[at]]));
  return { bids: ids.map((id) => found.get(id) ?? null) };
}

/** The same for targets that are not there yet. */
export async function suggestNew(accountId: number, targets: NewTarget[]): Promise<SuggestionsAnswer> {
  const marketId = await marketOf(accountId);
  const idsOf = (table: 'ad_group' | 'product', word: 'adGroupId' | 'productId') =>
    marketIds(
      db(),
      accountId,
      table,
      targets.flatMap((target) => target[word] ?? []),
    );
  const [adGroups, products] = await Promise.all([
    idsOf('ad_group', 'adGroupId'),
    idsOf('product', 'productId'),
  ]);
  const known = targets.flatMap(
    ({ adGroupId, productId, kind, match, expression }, at): { at: number; question: SuggestQuestion }[] => {
      const [place, product] = [adGroups.get(adGroupId ?? 0), products.get(productId ?? 0)];
      const target = { kind, match, expression };
      if (place) return [{ at, question: { ...target, adGroupId: place } }];
      return product ? [{ at, question: { ...target, productId: product } }] : [];
    },
  );
  const bids: SuggestionsAnswer['bids'] = targets.map(() => null);
  const answers = await askMarket(
    marketId,
    known.map(({ question }) => question),
  );
  answers.forEach((answer, index) => (bids[known[index].at] = answer));
  return { bids };
}

async function marketOf(accountId: number): Promise<string> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; no market suggests bids for it.`);
  return account.marketId;
}

async function askMarket(marketId: string, questions: SuggestQuestion[]): Promise<SuggestionsAnswer['bids']> {
  const answers: SuggestionsAnswer['bids'] = [];
  for (let at = 0; at < questions.length; at += AT_ONCE) {
    const some = questions.slice(at, at + AT_ONCE);
    for (const answer of await market().suggestBids(marketId, some)) answers.push(answer);
  }
  return answers;
}
