// Backups with PostgreSQL's own tools: pg_dump and pg_restore, checked table by table.
import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { must } from './commands.mjs';
import { addressOf } from './databases.mjs';
import { root } from './options.mjs';
import { say } from './say.mjs';

const SCHEMAS = ['mowing', 'quaymarket'];
/** Backups that are made by themselves before the tables change: so many are kept. */
const KEPT = 5;
export const checkFile = (file) => `${file}.check.json`;

async function connect(url) {
  const { default: postgres } = await import('postgres');
  return postgres(url, { max: 1, onnotice: () => {} });
}

/** Rows of each table, and a sum over all their contents; equal when the tables are. */
async function sumsOf(tx) {
  const tables = await tx`
    select n.nspname as schema, c.relname as name from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = any(${SCHEMAS}) and c.relkind = 'r' order by 1, 2`;
  const sums = {};
  for (const { schema, name } of tables) {
    const [row] = await tx`
      select count(*)::text as rows, coalesce(sum(hashtextextended(t::text, 0)::numeric), 0)::text as sum
      from ${tx(schema)}.${tx(name)} t`;
    sums[`${schema}.${name}`] = row;
  }
  return sums;
}

/**
 * Writes a database into a file, as it is at one moment, and beside it what each table held.
 * @param bin folder of the PostgreSQL programs
 * @returns {Promise<{tables: number, rows: number}>}
 */
export async function backUp(bin, url, file) {
  mkdirSync(path.dirname(file), { recursive: true });
  const sql = await connect(url);
  const part = `${file}.part`;
  try {
    return await sql.begin('isolation level repeatable read read only', async (tx) => {
      const [{ snapshot }] = await tx`select pg_export_snapshot() as snapshot`;
      await must(path.join(bin, 'pg_dump'), [
        ...['--format=custom', '--compress=1', '--no-owner', '--no-privileges', `--snapshot=${snapshot}`],
        ...SCHEMAS.map((schema) => `--schema=${schema}`),
        ...[`--file=${part}`, url],
      ]);
      const sums = await sumsOf(tx);
      writeFileSync(checkFile(file), JSON.stringify({ madeAt: new Date().toISOString(), sums }, null, 1));
      renameSync(part, file);
      const tables = Object.values(sums);
      return { tables: tables.length, rows: tables.reduce((all, { rows }) => all + Number(rows), 0) };
    });
  } finally {
    rmSync(part, { force: true });
    await sql.end({ timeout: 5 });
  }
}

/** What differs between a backup and the database it was restored into, in sentences. */
async function differences(url, file) {
  if (!existsSync(checkFile(file))) return null;
  const { sums: wanted } = JSON.parse(readFileSync(checkFile(file), 'utf8'));
  const sql = await connect(url);
  try {
    const found = await sumsOf(sql);
    return [...new Set([...Object.keys(wanted), ...Object.keys(found)])].flatMap((table) => {
      const [was, is] = [wanted[table], found[table]];
      if (was && is && was.rows === is.rows && was.sum === is.sum) return [];
      return [
        `${table}: ${was?.rows ?? 'no'} rows in the backup, ${is?.rows ?? 'no'} restored${was?.rows === is?.rows ? ', with other contents' : ''}`,
      ];
    });
  } finally {
    await sql.end({ timeout: 5 });
  }
}

/**
 * Restores a backup into a new database, checks it table by table, and only then lets it take the place of the present one, which is kept
 * under another name.
 * @returns {Promise<{kept: string | null, isChecked: boolean}>} the name of the database that was there before
 * @throws when Mowing is at work on the database, the file is no backup, or what was restored is not what was backed up
 */
export async function restore(bin, adminUrl, url, file) {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
  const name = new URL(url).pathname.slice(1);
  const stamp = new Date().toISOString().replace(/\D/g, '').slice(0, 14);
  const fresh = `${name}_restored_${stamp}`;
  const admin = await connect(adminUrl);
  try {
    const [{ busy }] =
      await admin`select count(*)::integer as busy from pg_stat_activity where datname = ${name}`;
    if (busy > 0)
      throw new Error(
        `Mowing (or something else) is at work on the database: ${busy} connections. Stop it first, then restore again. Nothing was changed.`,
      );
    await admin`create database ${admin(fresh)}`;
    try {
      await must(path.join(bin, 'pg_restore'), [
        ...['--exit-on-error', '--no-owner', '--no-privileges', '--jobs=2'],
        ...[`--dbname=${addressOf(adminUrl, fresh)}`, file],
      ]);
      const differ = await differences(addressOf(adminUrl, fresh), file);
      if (differ !== null && differ.length > 0)
        throw new Error(`What was restored is not what was backed up:\n${differ.join('\n')}`);
      const [{ has }] = await admin`select exists (select from pg_database where datname = ${name}) as has`;
      const kept = has ? `${name}_before_${stamp}` : null;
      if (kept) await admin`alter database ${admin(name)} rename to ${admin(kept)}`;
      await admin`alter database ${admin(fresh)} rename to ${admin(name)}`;
      return { kept, isChecked: differ !== null };
    } catch (error) {
      await admin`drop database if exists ${admin(fresh)} with (force)`;
      throw new Error(`${error.message}\nThe present database is as it was.`);
    }
  } finally {
    await admin.end({ timeout: 5 });
  }
}

/** Migrations that a database has not seen; null when it has no tables of ours yet. */
async function pendingMigrations(url) {
  const sql = await connect(url);
  try {
    const known = await sql`select name from mowing.migration`;
    const names = new Set(known.map(({ name }) => name));
    if (names.size === 0) return null;
    return readdirSync(path.join(root, 'src/db/migrations')).filter(
      (name) => name.endsWith('.sql') && !names.has(name),
    );
  } catch (error) {
    if (['3D000', '3F000', '42P01'].includes(error.code)) return null;
    throw error;
  } finally {
    await sql.end({ timeout: 5 });
  }
}

/** Backs a database up when its tables are about to change; the newest few such backups are kept. */
export async function backUpBeforeMigrations(bin, url, dataDir) {
  const pending = await pendingMigrations(url);
  if (pending === null || pending.length === 0) return;
  const folder = path.join(dataDir, 'backups');
  const stamp = new Date().toISOString().replace(/\D/g, '').slice(0, 17);
  const file = path.join(folder, `${stamp}-before-${pending[0].slice(0, 3)}.dump`);
  say(`The tables are about to change; backing up to ${file} …`);
  await backUp(bin, url, file);
  const old = readdirSync(folder)
    .filter((name) => /^\d{17}-before-\d{3}\.dump$/.test(name))
    .sort()
    .slice(0, -KEPT);
  for (const name of old)
    for (const gone of [path.join(folder, name), checkFile(path.join(folder, name))])
      rmSync(gone, { force: true });
}
