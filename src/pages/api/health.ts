import type { APIRoute } from 'astro';
import { version } from '../../../package.json';
import { db } from '../../server/context/context';
import { market } from '../../server/market/market';

const answers = (work: Promise<unknown>) =>
  work.then(
    () => 'ok',
    () => 'down',
  );

export const GET: APIRoute = async () => {
  const [database, isMarketUp] = await Promise.all([answers(db()`select 1`), market().isUp()]);
  const ok = database === 'ok' && isMarketUp;
  return Response.json(
    { ok, version, database, market: isMarketUp ? 'ok' : 'down' },
    { status: database === 'ok' ? 200 : 503 },
  );
};
