// Long-running child programs. They hold an IPC channel to the starter and end by themselves when it is gone,
// so that even a killed starter leaves nothing behind that would hold a port.
import { spawn } from 'node:child_process';
import { openSync } from 'node:fs';
import path from 'node:path';
import { root } from './options.mjs';
import { say } from './say.mjs';

/** Starts dist/programs/NAME.mjs, logs to `logFile`, and starts it again when it dies before `stop`. */
export function keepRunning(name, env, logFile) {
  let stopping = false;
  let child;
  let restarts = 0;
  const start = () => {
    const log = openSync(logFile, 'a');
    child = spawn(
      process.execPath,
      ['--enable-source-maps', path.join(root, 'dist/programs', `${name}.mjs`)],
      {
        cwd: root,
        env: { ...process.env, ...env },
        stdio: ['ignore', log, log, 'ipc'],
        detached: true, // Ctrl-C reaches the starter alone, which then stops its children in order
      },
    );
    child.once('exit', (code, signal) => {
      if (stopping) return;
      restarts += 1;
      say(`The ${name} ended (${signal ?? `code ${code}`}); starting it again. Its log: ${logFile}`);
      setTimeout(() => !stopping && start(), Math.min(10_000, 500 * 2 ** Math.min(restarts, 5)));
    });
  };
  start();
  return {
    stop: () =>
      new Promise((resolve) => {
        stopping = true;
        if (child.exitCode !== null || child.signalCode !== null) return resolve();
        const hard = setTimeout(() => child.kill('SIGKILL'), 8000);
        child.once('exit', () => (clearTimeout(hard), resolve()));
        child.kill('SIGTERM');
      }),
  };
}

/** Waits until a URL answers 200, at most `seconds`. */
export async function waitForAnswer(url, seconds, what) {
  const end = Date.now() + seconds * 1000;
  for (;;) {
    try {
      const answer = await fetch(url, { signal: AbortSignal.timeout(2000) });
      if (answer.ok) return;
    } catch {
      // not listening yet
    }
    if (Date.now() > end) throw new Error(`The ${what} did not answer at ${url} within ${seconds} seconds.`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
