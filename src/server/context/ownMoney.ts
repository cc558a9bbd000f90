import { AsyncLocalStorage } from 'node:async_hooks';
import { showMoneyBy } from '../../core/units';
import { findCurrency } from '../../db/queries/accounts';
import { db } from './context';

// Kept on the process: the pages' build and the program around it are two bundles, and must share it.
const KEY = Symbol.for('mowing.money');
interface Money {
  current: AsyncLocalStorage<string>;
  /** Currencies by account: they never change. */
  known: Map<number, string>;
}
const keeper = globalThis as unknown as Record<symbol, Money | undefined>;
const { current, known } = (keeper[KEY] ??= { current: new AsyncLocalStorage(), known: new Map() });

/** The currency of the account that something is being done for; undefined where it is for none. */
export const ownCurrency = (): string | undefined => current.getStore();

showMoneyBy(ownCurrency);

/** Does work about an account: what it puts into words has money with the decimals of the account's currency. An account that is not there is the work's to tell. */
export async function inMoneyOf<T>(accountId: number, work: () => T): Promise<Awaited<T>> {
  const currency = known.get(accountId) ?? (await findCurrency(db(), accountId));
  if (currency === undefined) return await work();
  known.set(accountId, currency);
  return await current.run(currency, work);
}
