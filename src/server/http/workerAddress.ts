import { readdirSync } from 'node:fs';
import path from 'node:path';

const FOLDER = '_astro';
let built: readonly string[] | undefined;

/** The address that the build gave a worker, by the name of its file; undefined where it made none. */
export function workerAddress(worker: string): string | undefined {
  built ??= readdirSync(path.resolve('dist/client', FOLDER));
  const file = built.find((name) => name.startsWith(`${worker}.worker-`) && name.endsWith('.js'));
  return file && `/${FOLDER}/${file}`;
}
