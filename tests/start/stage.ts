import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, readdirSync, readlinkSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../make/freePort';

export interface Started {
  child: ChildProcess;
  output: () => string;
  ended: Promise<number | null>;
}

/** A data folder of a test's own, with what starts Mowing on it: the real starter, the real programs. */
export async function aStage(name: string) {
  const dataDir = mkdtempSync(path.join(tmpdir(), `mowing-${name}-`));
  chmodSync(dataDir, 0o755); // PostgreSQL's own account has to reach it
  const port = await freePort();
  const running = new Set<ChildProcess>();

  /** Runs a script of bin/ on the data folder. */
  function run(script: string, args: string[] = []): Started {
    // On its own: nothing of the stage on which the other tests play.
    const own = Object.entries(process.env).filter(([key]) => !/^(MOWING_|DATABASE_URL$)/.test(key));
    const env = Object.fromEntries(own);
    const child = spawn(process.execPath, [`bin/${script}.mjs`, ...args], { env });
    running.add(child);
    let text = '';
    child.stdout.on('data', (part) => (text += part));
    child.stderr.on('data', (part) => (text += part));
    const ended = new Promise<number | null>((resolve) =>
      child.once('close', (code) => (running.delete(child), resolve(code))),
    );
    return { child, output: () => text, ended };
  }

  const start = (args: string[] = []) =>
    run('start', ['--data-dir', dataDir, '--port', String(port), ...args]);

  async function health(): Promise<unknown> {
    try {
      const signal = AbortSignal.timeout(5000);
      return await (await fetch(`http://127.0.0.1:${port}/api/health`, { signal })).json();
    } catch {
      return null;
    }
  }

  /** The end of the application's log, for a test that fails. */
  function appLog(): string {
    const file = path.join(dataDir, 'logs', 'app.log');
    return existsSync(file) ? readFileSync(file, 'utf8').slice(-1500) : '';
  }

  async function until(what: () => Promise<boolean> | boolean, seconds = 90): Promise<void> {
    const end = Date.now() + seconds * 1000;
    while (!(await what())) {
      if (Date.now() > end)
        throw new Error(
          `It did not happen within ${seconds} s. Health: ${JSON.stringify(await health())}\n${appLog()}`,
        );
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }

  const postmaster = () =>
    Number(readFileSync(path.join(dataDir, 'postgres', 'postmaster.pid'), 'utf8').split('\n')[0]);

  /** Processes that work on the data folder: programs by their environment, PostgreSQL by its own folder. */
  function ours(program: string): number[] {
    return readdirSync('/proc')
      .filter((entry) => /^\d+$/.test(entry))
      .map(Number)
      .filter((pid) => {
        try {
          if (program === 'postgres')
            return (
              readlinkSync(`/proc/${pid}/cwd`) === path.join(dataDir, 'postgres') && pid === postmaster()
            );
          return (
            readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(`programs/${program}.mjs`) &&
            readFileSync(`/proc/${pid}/environ`, 'utf8').includes(dataDir)
          );
        } catch {
          return false;
        }
      });
  }

  return {
    dataDir,
    port,
    running,
    run,
    start,
    health,
    until,
    ours,
    postmaster,
    isWell: async () => ((await health()) as { ok?: boolean } | null)?.ok === true,
    kill: (program: string) => ours(program).forEach((pid) => process.kill(pid, 'SIGKILL')),
    ready: (one: Started) =>
      until(() => {
        if (one.child.exitCode !== null) throw new Error(one.output());
        return one.output().includes(`Mowing is ready at http://127.0.0.1:${port}`);
      }),
    accounts: async () =>
      ((await (await fetch(`http://127.0.0.1:${port}/api/accounts`)).json()) as { name: string }[]).map(
        (account) => account.name,
      ),
    makeAccount: (account: string) =>
      fetch(`http://127.0.0.1:${port}/api/accounts`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: account, currency: 'EUR', targetAcos: 0.25 }),
      }),
    end: async () => {
      for (const child of running) child.kill('SIGTERM');
      await until(() => running.size === 0, 30).catch(() => {});
      // What was cut off while it made the database may write its last file just now.
      rmSync(dataDir, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
    },
  };
}

export type Stage = Awaited<ReturnType<typeof aStage>>;
