// npm run restore -- FILE: puts a backup in the place of the present database, which is kept under another name.
import path from 'node:path';
import { restore } from './parts/backups.mjs';
import { readOptions } from './parts/options.mjs';
import { openDatabase } from './parts/stage.mjs';
import { fail, say } from './parts/say.mjs';

async function main() {
  const [file, ...rest] = process.argv.slice(2);
  if (!file || file.startsWith('-')) throw new Error('Use: npm run restore -- FILE [--data-dir FOLDER]');
  const { bin, url, adminUrl, letGo } = await openDatabase(readOptions(rest));
  try {
    const { kept, isChecked } = await restore(bin, adminUrl, url, path.resolve(file));
    say(
      isChecked
        ? 'Restored; every table has the rows and contents of the backup.'
        : 'Restored. There is no FILE.check.json beside the backup, so its contents could not be compared.',
    );
    if (kept) say(`What was there before is kept as the database “${kept}”.`);
  } finally {
    await letGo();
  }
}

main().catch(fail);
