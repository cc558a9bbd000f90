import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { say } from './timed';

const BAR = 350_000;
const FOLDER = 'dist/client/_astro';

/** The script that the first view needs: the shell, the round, and what they import at once. */
export function benchFirstView(): void {
  const files = new Map(readdirSync(FOLDER).map((name) => [name, '']));
  const needed = new Set<string>();
  const take = (name: string) => {
    if (needed.has(name) || !files.has(name)) return;
    needed.add(name);
    const text = readFileSync(path.join(FOLDER, name), 'utf8');
    for (const [, other] of text.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)) take(other);
  };
  for (const name of files.keys()) {
    if (!/^(Mowing|client)\.[\w-]+\.js$/.test(name)) continue;
    take(name);
    const text = readFileSync(path.join(FOLDER, name), 'utf8');
    const round = /"\.\.\/round\/index\.ts":[^"]*import\("\.\/([\w.-]+\.js)"\)/.exec(text);
    if (round) take(round[1]);
  }
  const bytes = [...needed].reduce(
    (sum, name) => sum + gzipSync(readFileSync(path.join(FOLDER, name))).length,
    0,
  );
  say(
    `first view's script   ${Math.round(bytes / 1000)} kB gzip in ${needed.size} files   (bar: under ${BAR / 1000})`,
  );
}
