import { spawn } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { chmodSync, chownSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { must } from '../../bin/parts/commands.mjs';
import { ensureProgram } from '../../bin/parts/packages.mjs';
import { serverAccount, startPostgres } from '../../bin/parts/postgres.mjs';
import { connect } from '../../src/db/connection';
import { freePort } from '../make/freePort';

/** A folder that PostgreSQL's own account reaches too. */
export function aFolder(name: string): string {
  const folder = mkdtempSync(path.join(tmpdir(), `mowing-${name}-`));
  chmodSync(folder, 0o755);
  return folder;
}

/** A block of docs/operations.md: what is told there is what is tried here. @param language of its fence @param start how it begins */
export function blockOf(language: string, start: string): string {
  const text = readFileSync('docs/operations.md', 'utf8');
  const blocks = [...text.matchAll(new RegExp(`\`\`\`${language}\\n([\\s\\S]*?)\`\`\``, 'g'))].map(
    ([, block]) => block,
  );
  const found = blocks.find((block) => block.startsWith(start));
  if (!found) throw new Error(`docs/operations.md has no ${language} that begins with ${start}`);
  return found;
}

/** Puts a test's values in place of those of the documentation. @throws where one of them is not there */
export const filled = (text: string, values: Record<string, string | number>): string =>
  Object.entries(values).reduce((all, [from, to]) => {
    if (!all.includes(from)) throw new Error(`The documentation does not say ${from} any more.`);
    return all.replaceAll(from, String(to));
  }, text);

/** Programs that a test keeps running. */
export class Programs {
  private readonly running: ChildProcess[] = [];

  start(command: string, args: string[], options: { uid?: number; gid?: number } = {}): () => string {
    const child = spawn(command, args, { ...options, stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    child.stdout.on('data', (part) => (output += part));
    child.stderr.on('data', (part) => (output += part));
    this.running.push(child);
    return () => output;
  }

  async end(): Promise<void> {
    await Promise.all(
      this.running.map(async (child) => {
        if (child.exitCode !== null || child.signalCode !== null) return;
        const ended = new Promise((resolve) => child.once('exit', resolve));
        child.kill('SIGTERM');
        await ended;
      }),
    );
  }
}

/** The statements of a block, each as it is to be run. */
export const statementsOf = (block: string): string[] =>
  block
    .split(';')
    .map((statement) => statement.trim())
    .filter((statement) => statement !== '');

/** An empty database with all tables, on a server of its own. */
export async function aDatabase(folder: string) {
  const postgres = await startPostgres(folder);
  await migrated(postgres);
  return postgres;
}

const migrated = ({ url, adminUrl }: { url: string; adminUrl: string }) =>
  must(process.execPath, ['dist/programs/migrate.mjs'], {
    env: { DATABASE_URL: url, MOWING_ADMIN_URL: adminUrl, NODE_ENV: 'production' },
  });

/** A database as an operator would have it, with all tables, and a copy that follows it: made by the statements of the documentation. */
export async function aDatabaseWithCopy(folder: string) {
  const postgres = await startPostgres(folder);
  const admin = connect(postgres.adminUrl, { max: 1 });
  for (const statement of statementsOf(blockOf('sql', 'alter system set wal_level')))
    await admin.unsafe(statement);
  await admin`alter system set shared_buffers = '64MB'`;
  await admin.end();
  await postgres.stop();
  await postgres.restart();
  const account = await serverAccount();
  const copy = path.join(folder, 'copy');
  const [command, ...args] = filled(blockOf('sh', 'pg_basebackup'), {
    'postgres://app@10.0.0.5/postgres': postgres.adminUrl,
    '/var/lib/postgresql/15/copy': copy,
  })
    .trim()
    .split(' ');
  mkdirSync(copy, { mode: 0o700 });
  if (account.uid !== undefined) chownSync(copy, account.uid, account.gid!);
  await must(path.join(postgres.bin, command), args, { ...account, cwd: '/' });
  const port = await freePort();
  const control = (...what: string[]) =>
    must(
      path.join(postgres.bin, 'pg_ctl'),
      ['-D', copy, '-w', '-l', path.join(copy, 'server.log'), ...what],
      {
        ...account,
        cwd: '/',
        output: 'drop',
      },
    );
  const openCopy = () => control('-o', `-p ${port} -c hot_standby_feedback=on`, 'start');
  await openCopy();
  const copyUrl = new URL(postgres.url);
  copyUrl.port = String(port);
  await migrated(postgres);
  return {
    url: postgres.url,
    copyUrl: copyUrl.href,
    openCopy,
    stopCopy: () => control('-m', 'fast', 'stop'),
    end: async () => {
      await control('-m', 'immediate', 'stop').catch(() => {});
      await postgres.stop();
    },
  };
}

/** PgBouncer before a database, set up as the documentation says. @returns the address that leads through it */
export async function aPooler(folder: string, databaseUrl: string, programs: Programs): Promise<string> {
  const file = await ensureProgram('pgbouncer', '/usr/sbin/pgbouncer');
  const port = await freePort();
  const url = new URL(databaseUrl);
  const settings = filled(blockOf('ini', '[databases]'), {
    'host=10.0.0.5 port=5432': `host=127.0.0.1 port=${url.port}`,
    'listen_port = 6432': `listen_port = ${port}\nunix_socket_dir =`,
    '/etc/pgbouncer/userlist.txt': path.join(folder, 'userlist.txt'),
  });
  writeFileSync(path.join(folder, 'userlist.txt'), `"${url.username}" "${url.password}"\n`);
  writeFileSync(path.join(folder, 'pgbouncer.ini'), settings);
  programs.start(file, [path.join(folder, 'pgbouncer.ini')], await serverAccount());
  url.port = String(port);
  return url.href;
}

/** Nginx with TLS before some applications, set up as the documentation says. @returns its port */
export async function aProxy(folder: string, apps: number[], programs: Programs): Promise<number> {
  const file = await ensureProgram('nginx', '/usr/sbin/nginx');
  const port = await freePort();
  const [key, certificate] = [path.join(folder, 'ads.key'), path.join(folder, 'ads.pem')];
  const asked = [
    'req',
    '-x509',
    '-newkey',
    'rsa:2048',
    '-nodes',
    '-days',
    '2',
    '-subj',
    '/CN=ads.shop.example',
  ];
  await must('openssl', [...asked, '-keyout', key, '-out', certificate], {});
  const upstream = filled(blockOf('nginx', 'upstream'), {
    '10.0.0.11:4321': `127.0.0.1:${apps[0]}`,
    '10.0.0.12:4321': `127.0.0.1:${apps[1]}`,
  });
  const server = filled(blockOf('nginx', 'server {'), {
    'listen 443': `listen 127.0.0.1:${port}`,
    '/etc/ssl/ads.pem': certificate,
    '/etc/ssl/ads.key': key,
    'http://127.0.0.1:4321': 'http://mowing',
  });
  const own = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
    (name) => `${name}_temp_path ${path.join(folder, name)};`,
  );
  writeFileSync(
    path.join(folder, 'nginx.conf'),
    `error_log stderr;\npid ${folder}/nginx.pid;\nevents {}\nhttp {\naccess_log off;\n${own.join('\n')}\n${upstream}\n${server}\n}\n`,
  );
  programs.start(file, ['-c', path.join(folder, 'nginx.conf'), '-e', 'stderr', '-g', 'daemon off;']);
  return port;
}

export const removeFolder = (folder: string): void =>
  rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
