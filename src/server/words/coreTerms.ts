import { matchForm } from '../../core/matching';
import type { CoreTermRequest } from '../../contract/words';
import { MowingError } from '../../contract/mowingError';
import { listPinned, pinTerm, unpinTerm } from '../../db/queries/coreTerms';
import type { PinnedTerm } from '../../db/queries/coreTerms';
import { listProducts } from '../../db/queries/economics';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** Terms pinned to the core lists of an account's products. */
export async function loadPinned(account: number): Promise<{ pinned: PinnedTerm[] }> {
  await needAccount(account);
  return { pinned: await listPinned(db(), account) };
}

/** Pins a term to the core list of a product. @throws MowingError for no word, or a product the account does not have */
export async function pinCoreTerm(
  caller: Caller,
  { account, productId, term }: CoreTermRequest,
): Promise<PinnedTerm> {
  await needAccount(account);
  const form = matchForm(term);
  if (form === '')
    throw new MowingError('bad-request', `“${term}” holds no word that a shopper could search for.`);
  if (!(await listProducts(db(), account)).some(({ id }) => id === productId))
    throw new MowingError('not-found', `The account has no product ${productId}.`);
  const pinned = { productId, form, term: term.trim() };
  await recorded(caller, account, async (tx, note) => {
    await pinTerm(tx, account, pinned);
    note({ what: 'pin term', subject: `product ${productId}`, to: pinned.term });
  });
  return pinned;
}

export async function unpinCoreTerm(
  caller: Caller,
  { account, productId, term }: CoreTermRequest,
): Promise<{ removed: boolean }> {
  await needAccount(account);
  return recorded(caller, account, async (tx, note) => {
    const removed = await unpinTerm(tx, account, { productId, form: matchForm(term) });
    if (removed) note({ what: 'unpin term', subject: `product ${productId}`, from: term });
    return { removed };
  });
}
