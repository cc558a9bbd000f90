import { marketClient } from '../../connect/market';
import type { MarketClient } from '../../connect/market';

let known: { settings: string; client: MarketClient } | undefined;

/** The client of the connected market, from MOWING_MARKET_URL, MOWING_MARKET_SECRET and MOWING_MARKET_ANSWER_S (30 unless told otherwise). */
export function market(): MarketClient {
  const {
    MOWING_MARKET_URL: url,
    MOWING_MARKET_SECRET: secret,
    MOWING_MARKET_ANSWER_S: within,
  } = process.env;
  const settings = JSON.stringify([url, secret, within]);
  // It holds a token: one client while the settings stay.
  if (known?.settings !== settings) {
    const answerWithinMs = 1000 * (Number(within) || 30);
    known = {
      settings,
      client: marketClient(url ?? 'http://127.0.0.1:4322', secret ?? '', { answerWithinMs }),
    };
  }
  return known.client;
}
