// How much of this machine's processors its host gave to others meanwhile: where that is much, times say little.
import { existsSync, readFileSync } from 'node:fs';

const STAT = '/proc/stat';
/** The eighth figure of the kernel's first line is the time that was waited for while the host ran others (proc(5)). */
const STEAL = 7;

function ticks() {
  if (!existsSync(STAT)) return null;
  const [line] = readFileSync(STAT, 'utf8').split('\n');
  const all = line
    .trim()
    .split(/\s+/)
    .slice(1, STEAL + 2)
    .map(Number);
  return { all: all.reduce((sum, one) => sum + one, 0), taken: all[STEAL] ?? 0 };
}

/**
 * Begins to watch.
 * @returns a function that tells the share since then in words, or nothing where it is small or not known
 */
export function watchTaken() {
  const from = ticks();
  return () => {
    const to = ticks();
    if (!from || !to || to.all === from.all) return '';
    const share = (to.taken - from.taken) / (to.all - from.all);
    return share < 0.02 ? '' : `host took ${Math.round(share * 100)} %`;
  };
}
