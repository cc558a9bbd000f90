// npm run bench: measures on a database of its own, beside whatever runs.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { bundlePrograms } from './parts/build.mjs';
import { keepRunning } from './parts/children.mjs';
import { must } from './parts/commands.mjs';
import { keepPort } from './parts/files.mjs';
import { readOptions, root } from './parts/options.mjs';
import { ensureChromium } from './parts/packages.mjs';
import { prepare } from './parts/stage.mjs';
import { fail } from './parts/say.mjs';

async function main() {
  const dataDir = process.env.MOWING_BENCH_DATA_DIR ?? path.join(root, '.data-bench');
  const { env, postgres } = await prepare({
    ...readOptions([]),
    dataDir: path.resolve(dataDir),
    emptied: true,
    databaseUrl: undefined,
  });
  const logs = path.join(env.MOWING_DATA_DIR, 'logs');
  mkdirSync(logs, { recursive: true });
  const port = await keepPort(path.join(env.MOWING_DATA_DIR, 'app-port'));
  const running = { ...env, MOWING_PORT: String(port), MOWING_URL: `http://127.0.0.1:${port}` };
  const app = keepRunning('app', running, path.join(logs, 'app.log'));
  try {
    await bundlePrograms({ bench: 'tests/bench/main.ts' }, 'dist/programs');
    await must(process.execPath, [path.join(root, 'dist/programs/bench.mjs')], {
      output: 'show',
      env: { ...running, MOWING_CHROMIUM: await ensureChromium() },
    });
  } finally {
    await app.stop();
    await postgres.stop();
  }
}

main().catch(fail);
