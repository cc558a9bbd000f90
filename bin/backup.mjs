// npm run backup -- FILE: writes the database into a file. It may run beside a running Mowing.
import path from 'node:path';
import { backUp } from './parts/backups.mjs';
import { readOptions } from './parts/options.mjs';
import { openDatabase } from './parts/stage.mjs';
import { fail, say } from './parts/say.mjs';

async function main() {
  const [file, ...rest] = process.argv.slice(2);
  if (!file || file.startsWith('-')) throw new Error('Use: npm run backup -- FILE [--data-dir FOLDER]');
  const { bin, url, letGo } = await openDatabase(readOptions(rest));
  try {
    const { tables, rows } = await backUp(bin, url, path.resolve(file));
    say(
      `Backed up ${rows} rows of ${tables} tables to ${path.resolve(file)}, with FILE.check.json beside it; keep both.`,
    );
  } finally {
    await letGo();
  }
}

main().catch(fail);
