import { matchForm, onceByForm } from '../../core/matching';
import { listStanding } from '../../core/negatives';
import type { NegativeListInfo, NegativeListRequest } from '../../contract/words';
import { MowingError } from '../../contract/mowingError';
import {
  deleteNegativeList,
  listMadeByLists,
  readNegativeLists,
  writeNegativeList,
} from '../../db/queries/negativeLists';
import { listNegatives, marketIds } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** The named lists of negatives of an account, each with where it holds and where it does not yet. */
export async function loadNegativeLists(account: number): Promise<{ lists: NegativeListInfo[] }> {
  await needAccount(account);
  const [lists, negatives, made] = await Promise.all([
    readNegativeLists(db(), account),
    listNegatives(db(), account),
    listMadeByLists(db(), account),
  ]);
  return {
    lists: lists.map((list) => {
      const own = made.filter(({ listId }) => listId === list.id).map(({ negativeId }) => negativeId);
      const { missing, byCampaign, byTerm, excess } = listStanding(list, negatives, new Set(own));
      const heldByCampaign = list.campaignIds.map((id) => byCampaign.get(id) ?? 0);
      return { ...list, missing, heldByCampaign, heldByTerm: byTerm, excess };
    }),
  };
}

/**
 * Keeps a list: its name, its terms, and the campaigns that it is kept over. Nothing is blocked by that alone; what is missing is staged.
 * @throws MowingError for a name that another list has, a term without a word, or a campaign the account does not have
 */
export async function keepNegativeList(
  caller: Caller,
  { account, list }: NegativeListRequest,
): Promise<{ id: number }> {
  await needAccount(account);
  const wordless = list.terms.find(
    ({ match, expression }) => match !== 'item' && matchForm(expression) === '',
  );
  if (wordless)
    throw new MowingError('bad-request', `“${wordless.expression}” holds no word that could be blocked.`);
  const known = await marketIds(db(), account, 'campaign', list.campaignIds);
  const strange = list.campaignIds.find((id) => !known.has(id));
  if (strange !== undefined)
    throw new MowingError('not-found', `The account has no campaign ${strange}. Load the page again.`);
  const terms = onceByForm(
    list.terms,
    ({ expression }) => expression,
    ({ match }) => match,
  );
  const campaignIds = [...new Set(list.campaignIds)];
  const id = await recorded(caller, account, async (tx, note) => {
    const from = (await readNegativeLists(tx, account)).find((one) => one.id === list.id);
    const kept = { ...list, terms, campaignIds };
    const made = await writeNegativeList(tx, account, kept);
    if (made !== null) note({ what: 'keep list', subject: `list ${made}`, from, to: kept });
    return made;
  });
  if (id === null)
    throw new MowingError(
      'conflict',
      `There is another list called “${list.name}”, or this one was removed meanwhile. Choose another name.`,
    );
  return { id };
}

/** Removes a list. The negatives that it made stay where they are. */
export async function removeNegativeList(
  caller: Caller,
  account: number,
  id: number,
): Promise<{ removed: boolean }> {
  await needAccount(account);
  return recorded(caller, account, async (tx, note) => {
    const from = (await readNegativeLists(tx, account)).find((one) => one.id === id);
    const removed = await deleteNegativeList(tx, account, id);
    if (removed) note({ what: 'remove list', subject: `list ${id}`, from });
    return { removed };
  });
}
