// npm test: lint, types, import directions, unit, database and browser tests, on ports and data of its own.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { keepRunning, waitForAnswer } from './parts/children.mjs';
import { run } from './parts/commands.mjs';
import { keepPort } from './parts/files.mjs';
import { root } from './parts/options.mjs';
import { ensureChromium, ensurePackages } from './parts/packages.mjs';
import { say } from './parts/say.mjs';
import { prepare, runProgram } from './parts/stage.mjs';

const dataDir = path.resolve(process.env.MOWING_TEST_DATA_DIR ?? path.join(root, '.data-test'));
const sums = { passed: 0, failed: 0 };
const quiet = { ASTRO_TELEMETRY_DISABLED: '1', CI: 'true' };

/** A check that passes or fails as a whole. */
async function check(name, command, args) {
  const { code, output } = await run(command, args, { env: quiet });
  sums[code === 0 ? 'passed' : 'failed'] += 1;
  say(`${code === 0 ? 'passed' : 'FAILED'}  ${name}`);
  if (code !== 0) process.stdout.write(`${output}\n`);
}

/** A runner that writes a JSON report; its tests are counted one by one. A runner that dies counts as one failure. */
async function runner(name, args, report, count, env) {
  rmSync(report, { force: true });
  const { code, output } = await run('npx', args, { env: { ...quiet, ...env } });
  const { passed, failed } = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 1 };
  sums.passed += passed;
  sums.failed += failed === 0 && code !== 0 ? 1 : failed;
  say(`${code === 0 ? 'passed' : 'FAILED'}  ${name}: ${passed} passed, ${failed} failed`);
  if (code !== 0) process.stdout.write(`${output}\n`);
}

const vitestCount = (report) => ({
  passed: report.numPassedTests,
  failed: report.numTotalTests - report.numPassedTests - report.numPendingTests,
});
const playwrightCount = ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected });

/** Two at a time: they only read. */
async function staticChecks() {
  await Promise.all([
    check('lint', 'npx', ['eslint', '.', '--max-warnings', '0']).then(() =>
      check('types of the core (no DOM, no Node)', 'npx', ['tsc', '-p', 'tsconfig.core.json']),
    ),
    check('types of the pages', 'npx', ['astro', 'check', '--minimumFailingSeverity', 'error'])
      .then(() => check('types', 'npx', ['tsc', '-p', 'tsconfig.json', '--noEmit']))
      .then(() => check('format', 'npx', ['prettier', '--check', '.'])),
  ]);
}

async function withDatabase(work) {
  const port = await keepPort(path.join(dataDir, 'app-port'));
  const { env, postgres } = await prepare({ dataDir, port, databaseUrl: undefined, emptied: true });
  try {
    await work(env);
  } finally {
    await postgres.stop();
  }
}

async function browserTests(env) {
  const logs = path.join(dataDir, 'logs');
  mkdirSync(logs, { recursive: true });
  const market = keepRunning('market', env, path.join(logs, 'market.log'));
  let app;
  try {
    await waitForAnswer(`${env.MOWING_MARKET_URL}/health`, 60, 'stand-in market');
    await runProgram('demo', ['--fresh'], { ...env, MOWING_LOG: 'silent' });
    app = keepRunning('app', env, path.join(logs, 'app.log'));
    const url = `http://127.0.0.1:${env.MOWING_PORT}`;
    await waitForAnswer(`${url}/api/health`, 60, 'application');
    const report = path.join(dataDir, 'browser.json');
    await runner('browser tests', ['playwright', 'test'], report, playwrightCount, {
      ...env,
      NODE_ENV: 'test',
      MOWING_URL: url,
      MOWING_BROWSER_REPORT: report,
      MOWING_CHROMIUM: await ensureChromium(),
    });
  } finally {
    await app?.stop();
    await market.stop();
  }
}

async function main() {
  mkdirSync(dataDir, { recursive: true });
  await ensurePackages();
  await staticChecks();
  await withDatabase(async (env) => {
    const report = path.join(dataDir, 'vitest.json');
    const args = ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`];
    await runner('unit and database tests', args, report, vitestCount, {
      ...env,
      NODE_ENV: 'test',
      MOWING_LOG: 'silent',
    });
    await browserTests(env);
  });
}

try {
  await main();
} catch (error) {
  sums.failed += 1;
  process.stdout.write(`${error.stack}\n`);
}
process.stdout.write(`\n${sums.passed} passed, ${sums.failed} failed\n`);
process.exit(sums.failed === 0 ? 0 : 1);
