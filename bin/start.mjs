// npm run demo, npm start: brings up everything on a fresh machine and serves until Ctrl-C.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { isPortFree, keepPort } from './parts/files.mjs';
import { keepRunning, waitForAnswer } from './parts/children.mjs';
import { endCommands } from './parts/commands.mjs';
import { backUpNightly, nightlySettings } from './parts/nightlyBackups.mjs';
import { readOptions } from './parts/options.mjs';
import { ensurePostgres } from './parts/packages.mjs';
import { prepare, runProgram } from './parts/stage.mjs';
import { fail, say } from './parts/say.mjs';

/** Nights whose backups are kept, unless another number is set. */
const NIGHTS_KEPT = 7;

function isStarterAlive(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return false;
  }
}

/** One starter per data folder: two would fight over the same database. */
function claimDataFolder(dataDir) {
  mkdirSync(dataDir, { recursive: true });
  const file = path.join(dataDir, 'starter-pid');
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  if (pid && pid !== process.pid && isStarterAlive(pid))
    throw new Error(
      `Mowing already runs on ${dataDir} (process ${pid}). Stop it with Ctrl-C there, or give another --data-dir and --port.`,
    );
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

async function waitForFreePort(port) {
  // Programs of a killed starter need a moment to notice and let go of the port.
  for (let tries = 0; tries < 40; tries += 1) {
    if (await isPortFree(port)) return;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  throw new Error(`Port ${port} is in use by another program. Choose another one with --port.`);
}

async function main() {
  const options = readOptions();
  const release = claimDataFolder(options.dataDir);
  await waitForFreePort(options.port);
  const running = [];
  let postgres;
  let watch;
  let stopping = false;
  let endBackups = () => {};
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    say('Stopping …');
    clearInterval(watch);
    endBackups();
    endCommands();
    for (const child of running.reverse()) await child.stop();
    await postgres?.stop();
    release();
    process.exit(code);
  };
  process.on('SIGINT', () => void stop(0));
  process.on('SIGTERM', () => void stop(0));
  process.on('SIGHUP', () => void stop(0));
  try {
    const stage = await prepare(options, (started) => (postgres = started));
    if (stopping) return;
    const logs = path.join(options.dataDir, 'logs');
    mkdirSync(logs, { recursive: true });
    // The market of a killed starter may still be letting go of its port; after that the port is ours or a new one.
    const kept = stage.env.MOWING_MARKET_PORT;
    for (let tries = 0; tries < 20 && !(await isPortFree(Number(kept))); tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 150));
    const marketPort = String(await keepPort(path.join(options.dataDir, 'market-port')));
    const env = { ...stage.env, MOWING_MARKET_PORT: marketPort };
    if (env.MOWING_MARKET_URL.endsWith(`:${kept}`)) env.MOWING_MARKET_URL = `http://127.0.0.1:${marketPort}`;
    if (stopping) return;
    say('Starting the stand-in market …');
    running.push(keepRunning('market', env, path.join(logs, 'market.log')));
    await waitForAnswer(`http://127.0.0.1:${marketPort}/health`, 60, 'stand-in market');
    if (options.demo)
      await runProgram('demo', ['--size', options.size, ...(options.fresh ? ['--fresh'] : [])], env);
    if (stopping) return;
    say('Starting the application …');
    running.push(keepRunning('app', env, path.join(logs, 'app.log')));
    await waitForAnswer(`http://127.0.0.1:${options.port}/api/health`, 60, 'application');
    if (postgres)
      watch = setInterval(() => {
        if (stopping || postgres.pid()) return;
        say('PostgreSQL is gone; starting it again.');
        postgres.restart().catch((error) => say(error.message));
      }, 3000);
    // A PostgreSQL of one's own is backed up by whoever runs it, and a demo is made anew: unless it is asked for here.
    const { databaseUrl, demo } = options;
    const bin = postgres?.bin ?? (await ensurePostgres());
    const folder = path.join(options.dataDir, 'backups');
    const nightly = nightlySettings(process.env, databaseUrl || demo ? 0 : NIGHTS_KEPT);
    endBackups = backUpNightly({ bin, url: env.DATABASE_URL, folder, ...nightly }, say);
    process.stdout.write(`\nMowing is ready at http://127.0.0.1:${options.port}\n`);
    say(`Logs: ${logs}. Ctrl-C stops everything.`);
  } catch (error) {
    if (stopping) return;
    process.stderr.write(`\nMowing could not start: ${error.message}\n`);
    await stop(1);
  }
}

main().catch(fail);
