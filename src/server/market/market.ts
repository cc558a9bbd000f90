import { marketClient } from '../../connect/market';
import type { MarketClient } from '../../connect/market';

let client: MarketClient | undefined;

/** The client of the connected market, from MOWING_MARKET_URL, MOWING_MARKET_SECRET and MOWING_MARKET_ANSWER_S (30 unless told otherwise). */
export function market(): MarketClient {
  return (client ??= marketClient(
    process.env.MOWING_MARKET_URL ?? 'http://127.0.0.1:4322',
    process.env.MOWING_MARKET_SECRET ?? '',
    { answerWithinMs: 1000 * (Number(process.env.MOWING_MARKET_ANSWER_S) || 30) },
  ));
}
