// The stand-in market as a program: npm run demo starts it beside the application.
import { tmpdir } from 'node:os';
import path from 'node:path';
import { marketServer } from './http/server';
import { connectMarket } from './store/connection';

// The starter may be gone before the market is open.
let isStarterGone = process.send !== undefined && !process.connected;
process.once('disconnect', () => (isStarterGone = true));

const url = process.env.DATABASE_URL;
const secret = process.env.MOWING_MARKET_SECRET;
const port = Number(process.env.MOWING_MARKET_PORT ?? 4322);
if (!url || !secret) throw new Error('DATABASE_URL and MOWING_MARKET_SECRET must be set.');

const folder = path.join(
  process.env.MOWING_DATA_DIR ?? path.join(tmpdir(), `quaymarket-${port}`),
  'market-reports',
);
const sql = connectMarket(url);
const server = marketServer({ sql, secret, folder, isLogged: true });

async function stop() {
  await server.close();
  await sql.end({ timeout: 5 });
  process.exit(0);
}

process.on('SIGTERM', stop);
if (isStarterGone) void stop();
else process.on('disconnect', () => void stop());
await server.listen({ port, host: '127.0.0.1' });
server.log.info({ port }, 'market is open');
