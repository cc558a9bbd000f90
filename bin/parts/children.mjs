// Long-running child programs. They hold an IPC channel to the starter and end by themselves when it is gone,
// so that even a killed starter leaves nothing behind that would hold a port.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { root } from './options.mjs';
import { say } from './say.mjs';

/** A program that ran for so long was well: the pauses before it is started again begin anew. */
const WELL_AFTER_MS = 30_000;
/** Logs are cut into files of this size, and so many old ones are kept. */
const LOG_SIZE = '10M';
const LOGS_KEPT = 4;
const LOG_AGAIN_AFTER_MS = 5000;

/**
 * What a program says, kept in files that are bounded. A disk that is full costs lines of the log, and ends nothing.
 * @returns {{ write: (part: Buffer) => void, end: () => void }}
 */
function openLog(file) {
  let stream;
  let openAfter = 0;
  let opening;
  const open = async () => {
    const { createStream } = await import('rotating-file-stream');
    const made = createStream(path.basename(file), {
      path: path.dirname(file),
      size: LOG_SIZE,
      maxFiles: LOGS_KEPT,
    });
    made.on('error', () => {
      stream = undefined;
      openAfter = Date.now() + LOG_AGAIN_AFTER_MS;
      made.destroy();
    });
    stream = made;
  };
  const write = (part) => {
    if (stream) return void stream.write(part);
    if (Date.now() < openAfter) return;
    opening ??= open()
      .catch(() => (openAfter = Date.now() + LOG_AGAIN_AFTER_MS))
      .finally(() => (opening = undefined));
    void opening.then(() => stream?.write(part));
  };
  return { write, end: () => stream?.end() };
}

/** Starts dist/programs/NAME.mjs, logs to `logFile`, and starts it again when it dies before `stop`. */
export function keepRunning(name, env, logFile) {
  let stopping = false;
  let child;
  let restarts = 0;
  const log = openLog(logFile);
  const start = () => {
    const startedAt = Date.now();
    child = spawn(
      process.execPath,
      ['--enable-source-maps', path.join(root, 'dist/programs', `${name}.mjs`)],
      {
        cwd: root,
        env: { ...process.env, ...env },
        stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
        detached: true, // Ctrl-C reaches the starter alone, which then stops its children in order
      },
    );
    child.stdout.on('data', log.write);
    child.stderr.on('data', log.write);
    child.once('exit', (code, signal) => {
      if (stopping) return;
      restarts = Date.now() - startedAt > WELL_AFTER_MS ? 1 : restarts + 1;
      say(`The ${name} ended (${signal ?? `code ${code}`}); starting it again. Its log: ${logFile}`);
      setTimeout(() => !stopping && start(), Math.min(10_000, 500 * 2 ** Math.min(restarts, 5)));
    });
  };
  start();
  return {
    pid: () => child.pid,
    stop: () =>
      new Promise((resolve) => {
        stopping = true;
        const ended = () => (log.end(), resolve());
        if (child.exitCode !== null || child.signalCode !== null) return ended();
        const hard = setTimeout(() => child.kill('SIGKILL'), 8000);
        child.once('close', () => (clearTimeout(hard), ended()));
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
