// node bin/run.mjs PROGRAM [arguments]: runs one program beside a running Mowing, or on its own.
import path from 'node:path';
import { spawn } from 'node:child_process';
import { readOptions, root } from './parts/options.mjs';
import { prepare } from './parts/stage.mjs';
import { fail } from './parts/say.mjs';

async function main() {
  const [name, ...args] = process.argv.slice(2);
  const options = readOptions([]);
  const { env, postgres } = await prepare(options);
  const wasRunning = postgres === undefined || postgres.joined;
  const child = spawn(
    process.execPath,
    ['--enable-source-maps', path.join(root, `dist/programs/${name}.mjs`), ...args],
    {
      stdio: 'inherit',
      env: { ...process.env, ...env },
    },
  );
  child.on('close', async (code) => {
    if (!wasRunning) await postgres.stop();
    process.exit(code ?? 1);
  });
}

main().catch(fail);
