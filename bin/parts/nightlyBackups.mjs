// A backup every night, made by the starter: it outlives the programs that it keeps running.
import { existsSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { backUp, checkFile } from './backups.mjs';

const NAME = /^night-(\d{4}-\d{2}-\d{2})\.dump$/;
const LOOK_EVERY_MS = 10 * 60_000;

/** How many are kept (MOWING_BACKUPS_KEPT; 0: none are made) and from which hour of the machine's clock (MOWING_BACKUP_HOUR) one is due. */
export function nightlySettings(env, usuallyKept) {
  const whole = (name, usual, least, most) => {
    const value = Number(env[name] ?? usual);
    if (!Number.isInteger(value) || value < least || value > most)
      throw new Error(`${name} is "${env[name]}"; give a whole number from ${least} to ${most}.`);
    return value;
  };
  return {
    kept: whole('MOWING_BACKUPS_KEPT', usuallyKept, 0, 366),
    hour: whole('MOWING_BACKUP_HOUR', 3, 0, 23),
  };
}

/**
 * Backs a database up when the hour has come and this night's backup is not there yet; the oldest beyond those kept are removed, once
 * the new one is whole.
 * @returns {Promise<string | null>} the file, null where none was due
 */
export async function backUpWhenDue({ bin, url, folder, kept, hour }, now = new Date()) {
  if (kept === 0 || now.getHours() < hour) return null;
  const two = (part) => String(part).padStart(2, '0');
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
  const file = path.join(folder, `night-${day}.dump`);
  if (existsSync(file)) return null;
  await backUp(bin, url, file);
  const nights = readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort();
  for (const name of nights.slice(0, -kept))
    for (const gone of [path.join(folder, name), checkFile(path.join(folder, name))])
      rmSync(gone, { force: true });
  return file;
}

/** Looks now and then whether a backup is due. @param tell what was done, or why it failed @returns what ends it */
export function backUpNightly(settings, tell) {
  let isAtIt = false;
  const timer = setInterval(async () => {
    if (isAtIt) return;
    isAtIt = true;
    try {
      const file = await backUpWhenDue(settings);
      if (file) tell(`Backed up to ${file}.`);
    } catch (error) {
      tell(`The nightly backup failed, and is tried again: ${error.message}`);
    } finally {
      isAtIt = false;
    }
  }, LOOK_EVERY_MS);
  return () => clearInterval(timer);
}
