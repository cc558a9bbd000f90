// Everything that has to stand before a Mowing program can run: packages, build, database, settings.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { must } from './commands.mjs';
import { keep, keepPort, newSecret } from './files.mjs';
import { ensurePackages, ensurePostgres } from './packages.mjs';
import { backUpBeforeMigrations } from './backups.mjs';
import { addressOf } from './databases.mjs';
import { ensureBuild } from './build.mjs';
import { root } from './options.mjs';
import { startPostgres } from './postgres.mjs';
import { say } from './say.mjs';

/** Runs one of the programs in dist/programs to its end, its output shown. */
export function runProgram(name, args, env, output = 'show') {
  return must(
    process.execPath,
    ['--enable-source-maps', path.join(root, 'dist/programs', `${name}.mjs`), ...args],
    {
      output,
      env,
    },
  );
}

/**
 * The database of a data folder (or DATABASE_URL) alone, for what needs no build.
 * @returns {Promise<{bin: string, url: string, adminUrl: string, letGo: () => Promise<void>}>}
 */
export async function openDatabase({ dataDir, databaseUrl }) {
  mkdirSync(dataDir, { recursive: true });
  await ensurePackages();
  if (databaseUrl)
    return {
      bin: await ensurePostgres(),
      url: databaseUrl,
      adminUrl: addressOf(databaseUrl, 'postgres'),
      letGo: async () => {},
    };
  const { bin, url, adminUrl, joined, stop } = await startPostgres(dataDir);
  return { bin, url, adminUrl, letGo: async () => void (joined || (await stop())) };
}

/**
 * Prepares the data folder, database and build. `emptied` drops all tables first (tests).
 * @param onPostgres told of the PostgreSQL as soon as it runs: whoever is stopped early stops it too
 * @returns the environment for all programs, and the PostgreSQL that was started (undefined with DATABASE_URL).
 */
export async function prepare({ dataDir, port, databaseUrl, emptied = false }, onPostgres = () => {}) {
  mkdirSync(dataDir, { recursive: true });
  await ensurePackages();
  const postgres = databaseUrl ? undefined : await startPostgres(dataDir);
  onPostgres(postgres);
  await ensureBuild();
  const marketPort = await keepPort(path.join(dataDir, 'market-port'), true);
  const env = {
    NODE_ENV: 'production',
    ASTRO_NODE_AUTOSTART: 'disabled',
    ASTRO_TELEMETRY_DISABLED: '1',
    DATABASE_URL: databaseUrl ?? postgres.url,
    MOWING_ADMIN_URL: postgres?.adminUrl ?? '',
    MOWING_PORT: String(port),
    MOWING_DATA_DIR: dataDir,
    MOWING_MARKET_PORT: String(marketPort),
    MOWING_MARKET_URL: process.env.MOWING_MARKET_URL ?? `http://127.0.0.1:${marketPort}`,
    MOWING_MARKET_SECRET:
      process.env.MOWING_MARKET_SECRET ?? keep(path.join(dataDir, 'market-secret'), newSecret),
  };
  if (postgres && !emptied) await backUpBeforeMigrations(postgres.bin, env.DATABASE_URL, dataDir);
  say('Bringing the tables up to date …');
  await runProgram('migrate', emptied ? ['--emptied'] : [], env);
  return { env, postgres };
}
