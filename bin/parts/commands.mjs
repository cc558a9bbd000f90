import { spawn } from 'node:child_process';
import { root } from './options.mjs';

/** Programs that are being run to their end: a starter that is stopped early ends them. */
const underWay = new Set();

/** Ends whatever is being run. */
export function endCommands() {
  for (const child of underWay) child.kill('SIGTERM');
}

/**
 * Runs a program to its end and returns its exit code and output.
 * `output` is 'keep' (returned), 'show' (let through to the terminal) or 'drop' (for programs whose
 * children live on: they would hold a pipe open).
 */
export function run(command, args, { output: how = 'keep', env, uid, gid, cwd = root } = {}) {
  return new Promise((resolve, reject) => {
    const stream = { keep: 'pipe', show: 'inherit', drop: 'ignore' }[how];
    const child = spawn(command, args, {
      cwd,
      uid,
      gid,
      env: { ...process.env, ...env },
      stdio: ['ignore', stream, stream],
    });
    underWay.add(child);
    child.once('exit', () => underWay.delete(child));
    let output = '';
    child.stdout?.on('data', (part) => (output += part));
    child.stderr?.on('data', (part) => (output += part));
    child.on('error', reject);
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** Runs a program and throws with the end of its output when it fails. */
export async function must(command, args, options) {
  const result = await run(command, args, options);
  if (result.code !== 0)
    throw new Error(
      `"${command} ${args.join(' ')}" ended with code ${result.code}.\n${result.output.slice(-2000)}`,
    );
  return result.output;
}
