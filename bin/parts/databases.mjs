// Databases of the tests: copies of a template that is made once, so that tests which run beside one another share nothing.
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { listFiles } from './build.mjs';
import { root } from './options.mjs';

/** What the loaded demo is made of; pages and pictures are not. */
const DEMO_INPUTS = [
  'src/core',
  'src/contract',
  'src/connect',
  'src/db',
  'src/market',
  'src/server',
  'package-lock.json',
];

/** Names one state of what makes the demo: another one is loaded anew. */
export function hashDemo() {
  const hash = createHash('sha256');
  for (const file of DEMO_INPUTS.flatMap(listFiles)
    .filter((name) => !name.includes('.test.'))
    .sort())
    hash.update(file).update(readFileSync(path.join(root, file)));
  return hash.digest('hex').slice(0, 12);
}

/** The address of another database on the same server. */
export function addressOf(url, name) {
  const address = new URL(url);
  address.pathname = `/${name}`;
  return address.href;
}

/** Makes, copies and drops databases. */
export async function openDatabases(adminUrl) {
  const { default: postgres } = await import('postgres');
  const sql = postgres(adminUrl, { max: 1, onnotice: () => {} });
  const names = async () => (await sql`select datname from pg_database`).map(({ datname }) => datname);
  const drop = (name) => sql`drop database if exists ${sql(name)} with (force)`;
  return {
    has: async (name) => (await names()).includes(name),
    drop,
    /** Drops all whose names begin so, but for one. */
    dropOthers: async (prefix, kept) => {
      for (const name of await names()) if (name.startsWith(prefix) && name !== kept) await drop(name);
    },
    /** A copy of a template that nobody is connected to. */
    copy: async (name, template) => {
      await drop(name);
      await sql`create database ${sql(name)} template ${sql(template)} strategy file_copy`;
    },
    /** Nothing here has to outlive a power cut: nothing waits for the disk, and queries that take long are told in the log. */
    hurry: async () => {
      await sql`alter system set fsync = off`;
      await sql`alter system set full_page_writes = off`;
      await sql`alter system set synchronous_commit = off`;
      await sql`alter system set log_min_duration_statement = '2s'`;
      await sql`select pg_reload_conf()`;
    },
    rename: (name, to) => sql`alter database ${sql(name)} rename to ${sql(to)}`,
    end: () => sql.end({ timeout: 5 }),
  };
}
