// npm run shots: takes the pictures of docs/screenshots from a freshly loaded demo of its own.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { keepRunning, waitForAnswer } from './parts/children.mjs';
import { must } from './parts/commands.mjs';
import { keepPort } from './parts/files.mjs';
import { root } from './parts/options.mjs';
import { ensureChromium } from './parts/packages.mjs';
import { fail, say } from './parts/say.mjs';
import { prepare, runProgram } from './parts/stage.mjs';

async function main() {
  const dataDir = path.join(root, '.data-shots');
  const logs = path.join(dataDir, 'logs');
  mkdirSync(logs, { recursive: true });
  const port = await keepPort(path.join(dataDir, 'app-port'));
  const { env, postgres } = await prepare({ dataDir, port, databaseUrl: undefined, emptied: true });
  const running = [keepRunning('market', env, path.join(logs, 'market.log'))];
  try {
    await waitForAnswer(`${env.MOWING_MARKET_URL}/health`, 60, 'stand-in market');
    await runProgram('demo', [], { ...env, MOWING_LOG: 'silent' });
    running.push(keepRunning('app', env, path.join(logs, 'app.log')));
    const url = `http://127.0.0.1:${port}`;
    await waitForAnswer(`${url}/api/health`, 60, 'application');
    say('Taking pictures …');
    await must(process.execPath, [path.join(root, 'tests/shots/take.mjs')], {
      output: 'show',
      env: { MOWING_URL: url, MOWING_CHROMIUM: await ensureChromium() },
    });
  } finally {
    for (const child of running.reverse()) await child.stop();
    await postgres.stop();
  }
}

main().catch(fail);
