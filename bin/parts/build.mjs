// Builds the pages (Astro) and the programs (esbuild) when their sources changed since the last build.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { must } from './commands.mjs';
import { root } from './options.mjs';
import { say } from './say.mjs';

const stampFile = path.join(root, 'dist', 'sources-hash');
const buildInputs = [
  'src',
  'public',
  'astro.config.mjs',
  'package-lock.json',
  'tsconfig.json',
  'bin/parts/build.mjs',
  'bin/parts/scriptsAhead.mjs',
];

/** All files below a file or folder of the project. */
export function listFiles(entry) {
  const full = path.join(root, entry);
  if (!existsSync(full)) return [];
  if (statSync(full).isFile()) return [entry];
  return readdirSync(full).flatMap((name) => listFiles(path.join(entry, name)));
}

function hashSources() {
  const hash = createHash('sha256');
  for (const file of buildInputs
    .flatMap(listFiles)
    .filter((name) => !name.includes('.test.'))
    .sort())
    hash.update(file).update(readFileSync(path.join(root, file)));
  return hash.digest('hex');
}

/** Programs that run beside the pages: dist/programs/NAME.mjs from their source. */
export const programs = {
  app: 'src/server/programs/app.ts',
  migrate: 'src/server/programs/migrate.ts',
  demo: 'src/server/programs/demo.ts',
  import: 'src/server/programs/import.ts',
  people: 'src/server/programs/people.ts',
  thread: 'src/server/programs/thread.ts',
  standing: 'src/server/programs/standing.ts',
  market: 'src/market/main.ts',
  played: 'src/trial/played/main.ts',
};

/** Bundles TypeScript programs for Node; packages stay outside the bundle. */
export async function bundlePrograms(entryPoints, outdir) {
  const { build } = await import('esbuild');
  await build({
    entryPoints,
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    packages: 'external',
    sourcemap: 'inline',
    logLevel: 'error',
    absWorkingDir: root,
  });
}

/** Packs what the browser gets once, instead of at every request. */
function packClient() {
  const texts = listFiles('dist/client').filter((name) => /\.(js|css|svg)$/.test(name));
  for (const name of texts) {
    const file = path.join(root, name);
    writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
  }
}

/** Builds everything into dist/ unless the last build was made from the same sources. */
export async function ensureBuild() {
  const hash = hashSources();
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === hash) return;
  say('Building the application …');
  rmSync(stampFile, { force: true });
  await must('npx', ['astro', 'build'], { env: { ASTRO_TELEMETRY_DISABLED: '1' } });
  packClient();
  await bundlePrograms(programs, 'dist/programs');
  writeFileSync(stampFile, hash);
}
