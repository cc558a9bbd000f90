import { version } from '../../package.json';
import { isUp } from '../db/queries/health';
import { db } from './context/context';
import { market } from './market/market';

export interface Health {
  ok: boolean;
  version: string;
  database: 'ok' | 'down';
  market: 'ok' | 'down';
}

/** Whether the application, its database and its market answer. */
export async function loadHealth(): Promise<Health> {
  const [isDatabaseUp, isMarketUp] = await Promise.all([isUp(db()), market().isUp()]);
  const word = (isWell: boolean) => (isWell ? 'ok' : 'down');
  return { ok: isDatabaseUp && isMarketUp, version, database: word(isDatabaseUp), market: word(isMarketUp) };
}
