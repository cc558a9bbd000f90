import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { connect } from './connection';
import type { Db } from './connection';

/**
 * Applies the numbered migrations of a folder that a schema has not seen yet, in order, each in a transaction of
 * its own. A lock keeps two starters from migrating at once.
 * @returns the names applied
 * @throws when a migration fails (nothing of it remains) or an applied one is missing from the folder
 */
export async function migrate(sql: Db, schema: string, folder: string): Promise<string[]> {
  const files = readdirSync(folder)
    .filter((name) => /^\d{3}_.*\.sql$/.test(name))
    .sort();
  await sql`create schema if not exists ${sql(schema)}`;
  await sql`create table if not exists ${sql(schema)}.migration (name text primary key, applied_at timestamptz not null default now())`;
  const applied: string[] = [];
  await sql.begin(async (tx) => {
    await tx`select pg_advisory_xact_lock(hashtext(${`${schema} migrations`}))`;
    const rows = await tx<{ name: string }[]>`select name from ${tx(schema)}.migration order by name`;
    const known = new Set(rows.map((row) => row.name));
    const strange = [...known].filter((name) => !files.includes(name));
    if (strange.length > 0)
      throw new Error(
        `The database was made by a newer version: it knows ${strange.join(', ')}. Update Mowing.`,
      );
    for (const name of files.filter((file) => !known.has(file))) {
      await tx.unsafe(readFileSync(path.join(folder, name), 'utf8')).simple();
      await tx`insert into ${tx(schema)}.migration (name) values (${name})`;
      applied.push(name);
    }
  });
  return applied;
}

/** Makes the database named in `url` when the server behind `adminUrl` does not have it yet. */
export async function ensureDatabase(adminUrl: string, url: string): Promise<void> {
  const name = new URL(url).pathname.slice(1);
  const admin = connect(adminUrl, { max: 1 });
  try {
    const rows = await admin`select 1 from pg_database where datname = ${name}`;
    if (rows.length === 0) await admin`create database ${admin(name)}`;
  } finally {
    await admin.end();
  }
}
