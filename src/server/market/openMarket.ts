import type { MarketAccount } from '../../contract/market';
import { findByMarketId, insertAccount } from '../../db/queries/accounts';
import { db } from '../context/context';

/** The account that stands for a market's account here; made when there is none. Its data come with the first sync. */
export async function accountOfMarket(remote: MarketAccount, isDemo: boolean): Promise<number> {
  const known = await findByMarketId(db(), remote.id);
  if (known !== undefined) return known;
  const { name, currency, targetAcos, timeZone, id: marketId } = remote;
  return insertAccount(db(), { name, currency, targetAcos, timeZone, marketId, isDemo });
}
