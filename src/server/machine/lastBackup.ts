import { readdir, stat } from 'node:fs/promises';
import path from 'node:path';
import { dataDir } from './dataDir';

/** When the newest nightly backup of the data folder was made; null where there is none. */
export async function lastBackup(): Promise<Date | null> {
  const folder = path.join(dataDir(), 'backups');
  const names = await readdir(folder).catch(() => []);
  const newest = names
    .filter((name) => /^night-[\d-]+\.dump$/.test(name))
    .sort()
    .at(-1);
  return newest === undefined ? null : (await stat(path.join(folder, newest))).mtime;
}
