// npm run bench: measures on a database of its own, beside whatever runs.
import path from 'node:path';
import { bundlePrograms } from './parts/build.mjs';
import { must } from './parts/commands.mjs';
import { readOptions, root } from './parts/options.mjs';
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
  try {
    await bundlePrograms({ bench: 'tests/bench/main.ts' }, 'dist/programs');
    await must(process.execPath, [path.join(root, 'dist/programs/bench.mjs')], { output: 'show', env });
  } finally {
    await postgres.stop();
  }
}

main().catch(fail);
