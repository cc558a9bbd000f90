// npm run bench: measures on a database of its own, beside whatever runs.
// npm run bench -- --soak MINUTES [--processes 2]: nine people at work for so long; errors, memory, slow answers.
// npm run bench -- --scale: several large accounts on one database, and what 1,000 of them would cost.
// npm run bench -- --large [PLACE]: every place and step of the large account in the browser. It is made once, and kept.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { bundlePrograms } from './parts/build.mjs';
import { keepRunning, waitForAnswer } from './parts/children.mjs';
import { must } from './parts/commands.mjs';
import { keepPort } from './parts/files.mjs';
import { readOptions, root } from './parts/options.mjs';
import { ensureChromium } from './parts/packages.mjs';
import { prepare, runProgram } from './parts/stage.mjs';
import { watchTaken } from './parts/taken.mjs';
import { fail } from './parts/say.mjs';

function readArguments() {
  const { values, positionals } = parseArgs({
    options: {
      soak: { type: 'string' },
      processes: { type: 'string', default: '1' },
      large: { type: 'boolean', default: false },
      scale: { type: 'boolean', default: false },
    },
    allowPositionals: true,
  });
  const soak = values.soak === undefined ? null : Number(values.soak);
  const processes = Number(values.processes);
  if (soak !== null && !(soak > 0)) throw new Error(`"${values.soak}" is no number of minutes.`);
  if (!Number.isInteger(processes) || processes < 1 || processes > 8)
    throw new Error(`"${values.processes}" is no number of processes from 1 to 8.`);
  return { soak, processes, isLarge: values.large, isScale: values.scale, only: positionals.join(' ') };
}

/** What the large account is made of: another market makes another one. */
function madeOf() {
  const hash = createHash('sha256');
  for (const file of readdirSync(path.join(root, 'src/market'), { recursive: true }).sort())
    if (/\.(ts|sql)$/.test(file) && !/\.test\./.test(file))
      hash.update(readFileSync(path.join(root, 'src/market', file)));
  return hash.digest('hex');
}

/** Throws a large account away that something else made. */
function letGoOfOther(dataDir) {
  const note = path.join(dataDir, 'made-of');
  if (!existsSync(note) || readFileSync(note, 'utf8') !== madeOf())
    rmSync(dataDir, { recursive: true, force: true });
}

/** Starts so many applications on ports of their own. */
async function openApps(env, logs, processes) {
  const apps = [];
  for (let at = 1; at <= processes; at += 1) {
    const port = await keepPort(path.join(env.MOWING_DATA_DIR, `app-port-${at}`));
    const url = `http://127.0.0.1:${port}`;
    const app = keepRunning('app', { ...env, MOWING_PORT: String(port) }, path.join(logs, `app-${at}.log`));
    apps.push({ ...app, url });
  }
  return apps;
}

async function main() {
  const { soak, processes, isLarge, isScale, only } = readArguments();
  const dataDir =
    process.env.MOWING_BENCH_DATA_DIR ?? path.join(root, isLarge ? '.data-large' : '.data-bench');
  if (isLarge) letGoOfOther(dataDir);
  const { env, postgres } = await prepare({
    ...readOptions([]),
    dataDir: path.resolve(dataDir),
    emptied: !isLarge,
    databaseUrl: undefined,
  });
  const logs = path.join(env.MOWING_DATA_DIR, 'logs');
  mkdirSync(logs, { recursive: true });
  const running = [];
  try {
    if (soak !== null || isLarge) {
      running.push(keepRunning('market', env, path.join(logs, 'market.log')));
      await waitForAnswer(`${env.MOWING_MARKET_URL}/health`, 60, 'stand-in market');
      await runProgram('demo', isLarge ? ['--size', 'large'] : [], env);
      if (isLarge) writeFileSync(path.join(dataDir, 'made-of'), madeOf());
    }
    const apps = isScale ? [] : await openApps(env, logs, processes);
    running.push(...apps);
    await bundlePrograms(
      {
        bench: 'tests/bench/main.ts',
        soak: 'tests/bench/soak.ts',
        large: 'tests/bench/large/main.ts',
        scale: 'tests/bench/scale.ts',
      },
      'dist/programs',
    );
    const program = isScale ? 'scale' : isLarge ? 'large' : soak === null ? 'bench' : 'soak';
    for (const { url } of soak === null && !isLarge ? [] : apps)
      await waitForAnswer(`${url}/api/health`, 60, 'application');
    const taken = watchTaken();
    await must(process.execPath, [path.join(root, `dist/programs/${program}.mjs`)], {
      output: 'show',
      env: {
        ...env,
        MOWING_URL: apps[0]?.url ?? '',
        MOWING_BENCH_ONLY: only,
        MOWING_SOAK_MINUTES: String(soak ?? 0),
        MOWING_SOAK_URLS: apps.map(({ url }) => url).join(' '),
        MOWING_SOAK_PIDS: apps.map(({ pid }) => pid()).join(' '),
        MOWING_CHROMIUM: await ensureChromium(),
      },
    });
    if (taken())
      process.stdout.write(
        `Of this machine’s processors its ${taken()} for others while this was measured.\n`,
      );
  } finally {
    for (const one of running.reverse()) await one.stop();
    await postgres.stop();
  }
}

main().catch(fail);
