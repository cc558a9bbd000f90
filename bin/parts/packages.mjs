// Installs what a fresh machine lacks: npm packages, and Debian packages when run as root.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync, mkdirSync } from 'node:fs';
import path from 'node:path';
import { must, run } from './commands.mjs';
import { root } from './options.mjs';
import { say } from './say.mjs';

const stampFile = path.join(root, 'node_modules', '.mowing-lock-hash');

/** Installs the npm packages when the lock file differs from the one last installed. */
export async function ensurePackages() {
  const hash = createHash('sha256')
    .update(readFileSync(path.join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === hash) return;
  say('Installing npm packages (a minute or two) …');
  await must('npm', ['ci', '--no-audit', '--no-fund'], {});
  writeFileSync(stampFile, hash);
}

async function ensureDebianPackage(name, beforeInstall) {
  if (process.getuid?.() !== 0)
    throw new Error(`The Debian package ${name} is missing. Install it with: sudo apt-get install ${name}`);
  say(`Installing the Debian package ${name} …`);
  beforeInstall?.();
  // With RUNLEVEL=1 Debian starts no service of what it installs: we start what we need, on ports of our own.
  const env = { DEBIAN_FRONTEND: 'noninteractive', RUNLEVEL: '1' };
  await run('apt-get', ['update'], { env });
  await must('apt-get', ['install', '-y', '--no-install-recommends', name], { env });
}

/** @param version the major version wanted; left out: the newest */
function findPostgresFolder(version) {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return undefined;
  const versions = readdirSync(base).filter((name) => existsSync(path.join(base, name, 'bin', 'postgres')));
  versions.sort((a, b) => Number(b) - Number(a));
  const found = version === undefined ? versions[0] : versions.find((name) => name === version);
  return found && path.join(base, found, 'bin');
}

/**
 * Folder of the PostgreSQL programs (initdb, pg_ctl, postgres, pg_dump); installs the package when there is none.
 * @param version that of a cluster which is there already: no other server reads its files
 * @throws with what to do when that version can be had no more
 */
export async function ensurePostgres(version) {
  const found = findPostgresFolder(version);
  if (found) return found;
  if (version !== undefined) {
    await ensureDebianPackage(`postgresql-${version}`).catch(() => {});
    const late = findPostgresFolder(version);
    if (late) return late;
    throw new Error(
      `The database was made by PostgreSQL ${version}, which is not installed here. Install postgresql-${version}; or choose a new folder with --data-dir and restore a backup into it.`,
    );
  }
  await ensureDebianPackage('postgresql', () => {
    // Without this Debian starts a cluster of its own, which nobody asked for.
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync('/etc/postgresql-common/createcluster.conf', 'create_main_cluster = false\n', {
      flag: 'a',
    });
  });
  const folder = findPostgresFolder();
  if (!folder)
    throw new Error('PostgreSQL was installed, but no server was found below /usr/lib/postgresql.');
  return folder;
}

/** A program of Debian; its package is installed when there is none. @returns its path */
export async function ensureProgram(name, file) {
  if (!existsSync(file)) await ensureDebianPackage(name);
  return file;
}

/**
 * Path of Chromium; installs Debian's package when there is none. The one without a window of its own takes a fifth less of the
 * machine; where Debian does not have it, the usual one does the same.
 */
export const ensureChromium = () =>
  ensureProgram('chromium-headless-shell', '/usr/bin/chromium-headless-shell').catch(() =>
    ensureProgram('chromium', '/usr/bin/chromium'),
  );
