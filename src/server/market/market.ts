import { marketClient } from '../../connect/market';
import type { MarketClient } from '../../connect/market';

let client: MarketClient | undefined;

/** The client of the connected market, from MOWING_MARKET_URL and MOWING_MARKET_SECRET. */
export function market(): MarketClient {
  return (client ??= marketClient(
    process.env.MOWING_MARKET_URL ?? 'http://127.0.0.1:4322',
    process.env.MOWING_MARKET_SECRET ?? '',
  ));
}
