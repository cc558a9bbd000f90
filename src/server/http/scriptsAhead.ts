import { readFileSync } from 'node:fs';
import path from 'node:path';

let read: Record<string, string[]> | undefined;

/** Addresses of the scripts that a place begins with, as the build found them; none where the build told none. */
export function scriptsAhead(place: string): readonly string[] {
  // Written by bin/parts/scriptsAhead.mjs.
  read ??= JSON.parse(readFileSync(path.resolve('dist/client/_astro/ahead.json'), 'utf8')) as Record<
    string,
    string[]
  >;
  return read[place] ?? [];
}
