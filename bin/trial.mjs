// npm run trial: judges the bid engine by its outcome on fresh stand-in markets; needs no database.
import path from 'node:path';
import { bundlePrograms } from './parts/build.mjs';
import { must } from './parts/commands.mjs';
import { root } from './parts/options.mjs';
import { ensurePackages } from './parts/packages.mjs';
import { fail } from './parts/say.mjs';

async function main() {
  await ensurePackages();
  await bundlePrograms({ trial: 'src/trial/main.ts' }, 'dist/programs');
  const args = [path.join(root, 'dist/programs/trial.mjs'), ...process.argv.slice(2)];
  await must(process.execPath, args, { output: 'show' });
}

main().catch(fail);
