import { matchForm } from '../../core/matching';
import { MowingError } from '../../contract/mowingError';
import { listPinned, pinTerm, unpinTerm } from '../../db/queries/coreTerms';
import type { PinnedTerm } from '../../db/queries/coreTerms';
import { listProducts } from '../../db/queries/economics';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** Terms pinned to the core lists of an account's products. */
export async function loadPinned(account: number): Promise<{ pinned: PinnedTerm[] }> {
  await needAccount(account);
  return { pinned: await listPinned(db(), account) };
}

/** Pins a term to the core list of a product. @throws MowingError for no word, or a product the account does not have */
export async function pinCoreTerm(account: number, productId: number, term: string): Promise<PinnedTerm> {
  await needAccount(account);
  const form = matchForm(term);
  if (form === '')
    throw new MowingError('bad-request', `“${term}” holds no word that a shopper could search for.`);
  if (!(await listProducts(db(), account)).some(({ id }) => id === productId))
    throw new MowingError('not-found', `The account has no product ${productId}.`);
  const pinned = { productId, form, term: term.trim() };
  await pinTerm(db(), account, pinned);
  return pinned;
}

export async function unpinCoreTerm(
  account: number,
  productId: number,
  term: string,
): Promise<{ removed: boolean }> {
  return { removed: await unpinTerm(db(), account, { productId, form: matchForm(term) }) };
}
