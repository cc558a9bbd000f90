// npm test: lint, types, import directions, unit, component, database and browser tests, on ports and data of its own.
// Prints how long each part takes. `npm test -- FILE …` runs the tests of these files alone, with all that they stand on.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import { keepRunning, waitForAnswer } from './parts/children.mjs';
import { run } from './parts/commands.mjs';
import { addressOf, hashDemo, openDatabases } from './parts/databases.mjs';
import { keepPort } from './parts/files.mjs';
import { root } from './parts/options.mjs';
import { ensureChromium, ensurePackages } from './parts/packages.mjs';
import { say } from './parts/say.mjs';
import { prepare, runProgram } from './parts/stage.mjs';
import { watchTaken } from './parts/taken.mjs';

const dataDir = path.resolve(process.env.MOWING_TEST_DATA_DIR ?? path.join(root, '.data-test'));
const logs = path.join(dataDir, 'logs');
const sums = { passed: 0, failed: 0 };
const quiet = { ASTRO_TELEMETRY_DISABLED: '1', CI: 'true' };
/** Files or folders of tests; none: all of them, and the checks. */
const only = process.argv.slice(2);
const isBrowser = (file) => file.includes('tests/browser');
const [hasBrowser, hasOthers] = [isBrowser, (file) => !isBrowser(file)].map(
  (one) => only.length === 0 || only.some(one),
);
/** Tests that run beside one another: one a core of the smallest machine this is for; a third lane would only make the others slower. */
const LANES = [0, 1];

const seconds = async (work) => {
  const from = Date.now();
  const taken = watchTaken();
  const value = await work();
  const took = `${((Date.now() - from) / 1000).toFixed(1)} s`;
  return { value, took: [took, taken()].filter(Boolean).join(', ') };
};

/** A check that passes or fails as a whole. */
async function check(name, command, args) {
  const { value, took } = await seconds(() => run(command, args, { env: quiet }));
  const { code, output } = value;
  sums[code === 0 ? 'passed' : 'failed'] += 1;
  say(`${code === 0 ? 'passed' : 'FAILED'}  ${name} (${took})`);
  if (code !== 0) process.stdout.write(`${output}\n`);
}

/** A runner that writes a JSON report; its tests are counted one by one. A runner that dies counts as one failure. */
async function runner(name, args, report, count, env) {
  rmSync(report, { force: true });
  const { value, took } = await seconds(() => run('npx', args, { env: { ...quiet, ...env } }));
  const { code, output } = value;
  const { passed, failed } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 1 };
  sums.passed += passed;
  sums.failed += failed === 0 && code !== 0 ? 1 : failed;
  say(`${code === 0 ? 'passed' : 'FAILED'}  ${name}: ${passed} passed, ${failed} failed (${took})`);
  if (code !== 0) process.stdout.write(`${output}\n`);
}

const vitestCount = (report) => ({
  passed: report.numPassedTests,
  failed: report.numTotalTests - report.numPassedTests - report.numPendingTests,
});
const playwrightCount = ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected });

/** They only read: they run beside what makes the stage ready. */
async function staticChecks() {
  await check('types of the core (no DOM, no Node)', 'npm', ['run', '--silent', 'types:core']);
  await check('types', 'npm', ['run', '--silent', 'types:all']);
  await check('types of the pages', 'npm', ['run', '--silent', 'types:pages']);
  await check('lint', 'npm', ['run', '--silent', 'lint']);
  await check('format', 'npm', ['run', '--silent', 'format:check']);
}

/** The environment of an app and a market of their own on a database. */
async function environment(env, name, database) {
  const folder = path.join(dataDir, name);
  mkdirSync(folder, { recursive: true });
  const [port, marketPort] = [
    await keepPort(path.join(folder, 'app-port')),
    await keepPort(path.join(folder, 'market-port')),
  ];
  return {
    ...env,
    DATABASE_URL: addressOf(env.DATABASE_URL, database),
    MOWING_DATA_DIR: folder,
    MOWING_PORT: String(port),
    MOWING_MARKET_PORT: String(marketPort),
    MOWING_MARKET_URL: `http://127.0.0.1:${marketPort}`,
  };
}

async function openMarket(env, name) {
  const market = keepRunning('market', env, path.join(logs, `market-${name}.log`));
  await waitForAnswer(`${env.MOWING_MARKET_URL}/health`, 60, 'stand-in market');
  return market;
}

/** The database with the demo loaded, made once for each state of what it is made of. @returns its name */
async function demoTemplate(env, databases) {
  const name = `demo_${hashDemo()}`;
  await databases.dropOthers('demo_', name);
  if (await databases.has(name)) return name;
  await databases.copy('demo_making', 'mowing');
  const own = await environment(env, 'making', 'demo_making');
  const market = await openMarket(own, 'making');
  try {
    await runProgram('demo', ['--fresh'], { ...own, MOWING_LOG: 'silent' });
  } finally {
    await market.stop();
  }
  await databases.rename('demo_making', name);
  return name;
}

/** Begins to make the demo's template. */
function openDemo(env, databases) {
  const demo = seconds(() => demoTemplate(env, databases)).then(({ value, took }) => {
    say(`ready   the demo (${took})`);
    return value;
  });
  demo.catch(() => {}); // told where it is waited for
  return demo;
}

/** Everything that the tests stand on; the first of them run while the demo is being loaded. */
async function stage() {
  const chromium = await ensureChromium();
  const port = await keepPort(path.join(dataDir, 'app-port'));
  const { env, postgres } = await prepare({ dataDir, port, databaseUrl: undefined, emptied: true });
  const databases = await openDatabases(postgres.adminUrl);
  await databases.hurry();
  for (const lane of LANES) await databases.copy(`tests_${lane + 1}`, 'mowing');
  say('ready   the stage: build, database');
  return { chromium, env, postgres, databases, demo: hasBrowser ? openDemo(env, databases) : undefined };
}

/** A lane of browser tests: an application and a market of their own on a copy of the demo, which can be made anew. */
async function openLane({ env, databases, demo }, lane) {
  const database = `browser_${lane}`;
  const own = await environment(env, `browser-${lane}`, database);
  const url = `http://127.0.0.1:${own.MOWING_PORT}`;
  let running = [];
  let isFresh = false;
  const close = async () => {
    for (const one of running.reverse()) await one.stop();
    running = [];
  };
  const open = async () => {
    await databases.copy(database, await demo);
    running.push(await openMarket(own, lane));
    running.push(keepRunning('app', own, path.join(logs, `app-${lane}.log`)));
    await waitForAnswer(`${url}/api/health`, 60, 'application');
    isFresh = true;
  };
  await open();
  return {
    url,
    database: own.DATABASE_URL,
    close,
    makeFresh: async () => {
      if (!isFresh) {
        await close();
        await open();
      }
      isFresh = false;
    },
  };
}

/** Where a file of tests asks for a fresh demo: POST /LANE. */
function openStageServer(lanes) {
  const server = createServer((request, response) => {
    const lane = lanes[Number(request.url?.slice(1))];
    const answer = (status, text) => response.writeHead(status).end(text);
    if (!lane) return answer(404, `There is no lane ${request.url}.`);
    lane.makeFresh().then(
      () => answer(200, 'fresh'),
      (error) => answer(500, String(error.stack)),
    );
  });
  return new Promise((resolve) => server.listen(0, '127.0.0.1', () => resolve(server)));
}

async function browserTests(staged) {
  const lanes = [];
  let server;
  try {
    for (const lane of LANES) lanes.push(await openLane(staged, lane));
    server = await openStageServer(lanes);
    const report = path.join(dataDir, 'browser.json');
    const files = only.filter(isBrowser);
    await runner('browser tests', ['playwright', 'test', ...files], report, playwrightCount, {
      ...staged.env,
      ...Object.fromEntries(lanes.map(({ url }, lane) => [`MOWING_URL_${lane}`, url])),
      ...Object.fromEntries(lanes.map(({ database }, lane) => [`MOWING_DATABASE_${lane}`, database])),
      MOWING_STAGE: `http://127.0.0.1:${server.address().port}`,
      NODE_ENV: 'test',
      MOWING_BROWSER_REPORT: report,
      MOWING_CHROMIUM: staged.chromium,
    });
  } finally {
    server?.close();
    for (const lane of lanes) await lane.close();
  }
}

async function otherTests({ env }) {
  const report = path.join(dataDir, 'vitest.json');
  const reporters = ['--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
  const files = only.filter((file) => !isBrowser(file));
  await runner(
    'unit, component and database tests',
    ['vitest', 'run', ...reporters, ...files],
    report,
    vitestCount,
    {
      ...env,
      NODE_ENV: 'test',
      MOWING_LOG: 'silent',
    },
  );
}

async function main() {
  mkdirSync(logs, { recursive: true });
  await ensurePackages();
  const [staged] = await Promise.all([stage(), only.length === 0 ? staticChecks() : undefined]);
  try {
    if (hasOthers) await otherTests(staged);
    if (hasBrowser) await browserTests(staged);
  } finally {
    await staged.demo?.catch(() => {});
    await staged.databases.end();
    await staged.postgres.stop();
  }
}

try {
  await main();
} catch (error) {
  sums.failed += 1;
  process.stdout.write(`${error.stack}\n`);
}
process.stdout.write(`\n${sums.passed} passed, ${sums.failed} failed\n`);
process.exit(sums.failed === 0 ? 0 : 1);
