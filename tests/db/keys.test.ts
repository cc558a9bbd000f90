import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { listTargets } from '../../src/db/queries/structure';
import { closeContext, db } from '../../src/server/context/context';
import type { Endpoint } from '../../src/server/http/endpoint';
import { aReport, aReportRow } from '../make/report';
import { anAccount } from './account';
import { anApp } from './appProcess';
import type { TestApp } from './appProcess';
import { aShop, because } from './shop';
import type { Shop } from './shop';

// Everything is kept and asked by account: so the same tables spread over many machines, and nobody meets another's figures.

/** Kept for the whole of Mowing: who comes in, and which steps the tables have taken. */
const OF_NO_ACCOUNT = [
  'api_token',
  'code_key',
  'failed_try',
  'migration',
  'one_time_link',
  'passkey',
  'passkey_challenge',
  'people_log',
  'person',
  'session',
];
/** Where a program looks for work of any account, or for what one that ended has left. */
const LOOKED_THROUGH = ['account', 'bale', 'import', 'job'];

let shop: Shop;
let app: TestApp;
let logFile: string;
let from: number;

beforeAll(async () => {
  for (const [key, value] of [
    ['session_preload_libraries', 'auto_explain'],
    ['auto_explain.log_min_duration', '0'],
    ['auto_explain.log_format', 'json'],
    ['auto_explain.log_verbose', 'on'],
  ])
    await db().unsafe(`alter database ${quoted(await nameOf())} set ${key} = '${value}'`);
  const [{ folder }] = await db()<{ folder: string }[]>`select current_setting('data_directory') as folder`;
  const logs = readdirSync(folder).filter((file) => file.endsWith('.log'));
  const newest = (file: string) => statSync(path.join(folder, file)).mtimeMs;
  logFile = path.join(folder, logs.sort((a, b) => newest(b) - newest(a))[0]);
  shop = await aShop();
  await anAccount();
  from = statSync(logFile).size;
  app = await anApp({ market: { url: shop.wire.url, secret: shop.secret } });
});
afterAll(async () => {
  await db().unsafe(`alter database ${quoted(await nameOf())} reset all`);
  await app?.end();
  await shop?.end();
  await closeContext();
});

const nameOf = async () => (await db()<{ name: string }[]>`select current_database() as name`)[0].name;
const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`;
/** Tables with an account, and the column that their key begins with; those without a key: that some index begins with. */
const tables = () => db()<{ name: string; hasAccount: boolean; begins: string[] }[]>`
  select c.relname as name,
    exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'account_id' and not a.attisdropped) as "hasAccount",
    coalesce((select array_agg(a.attname::text order by not i.indisprimary) from pg_index i
      join pg_attribute a on a.attrelid = c.oid and a.attnum = i.indkey[0]
      where i.indrelid = c.oid and (i.indisprimary or not exists (
        select from pg_index k where k.indrelid = c.oid and k.indisprimary))), '{}') as begins
  from pg_class c join pg_namespace n on n.oid = c.relnamespace
  where n.nspname = 'mowing' and c.relkind in ('r', 'p') and not c.relispartition order by 1`;

test('every key begins with the account; what belongs to none is who comes in', async () => {
  const all = await tables();
  expect(all.filter(({ hasAccount }) => !hasAccount).map(({ name }) => name)).toEqual(OF_NO_ACCOUNT);
  const others = all.filter(({ hasAccount, begins }) => hasAccount && begins[0] !== 'account_id');
  expect(others).toEqual([]);
  const across = await db()<{ name: string }[]>`
    select con.conname as name from pg_constraint con
    join pg_class c on c.oid = con.conrelid join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = 'mowing' and con.contype in ('f', 'u') and c.relname not in ('account', 'account_role')
      and exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'account_id')
      and not exists (select from pg_attribute a
        where a.attrelid = c.oid and a.attname = 'account_id' and a.attnum = any(con.conkey))`;
  expect(across.map(({ name }) => name)).toEqual([]);
});

interface Node {
  'Node Type': string;
  Schema?: string;
  'Relation Name'?: string;
  Alias?: string;
  Plans?: Node[];
  [key: string]: unknown;
}

const ROWS = ['Index Cond', 'Recheck Cond', 'Filter', 'TID Cond'];
const JOINS = ['Hash Cond', 'Merge Cond', 'Join Filter'];
const text = (node: Node, keys: readonly string[]) => keys.map((key) => node[key] ?? '').join(' ');

/** Scans of a plan that read rows of more than one account: neither they nor a join above them ask for one. */
function scansAcross(node: Node, kept: ReadonlySet<string>, joins = ''): string[] {
  const above = `${joins} ${text(node, JOINS)}`;
  const children = node.Plans ?? [];
  const own = text(node, ROWS) + children.map((child) => text(child, ROWS)).join(' ');
  const name = node['Relation Name'];
  const isAcross =
    name !== undefined &&
    node.Schema === 'mowing' &&
    node['Node Type'] !== 'ModifyTable' &&
    kept.has(name) &&
    !own.includes('account_id') &&
    !above.includes(`${node.Alias}.account_id`);
  return [...(isAcross ? [name] : []), ...children.flatMap((child) => scansAcross(child, kept, above))];
}

/** The plans that the database made since the file was so long. */
function plansSince(place: number): { sql: string; plan: Node }[] {
  const written = readFileSync(logFile).subarray(place).toString();
  return [...written.matchAll(/plan:\n(\t\{[\s\S]*?\n\t\})\n/g)].map(([, json]) => {
    const told = JSON.parse(json.replaceAll('\n\t', '\n')) as { 'Query Text': string; Plan: Node };
    return { sql: told['Query Text'].replace(/\s+/g, ' ').trim(), plan: told.Plan };
  });
}

const listFiles = (at: string): string[] =>
  readdirSync(at).flatMap((name) => {
    const full = path.join(at, name);
    return statSync(full).isDirectory() ? listFiles(full) : [full];
  });

/** Of something that has to be made first. */
const OF_ONE = [
  'ads/picture',
  'build/file',
  'build/plan',
  'imports/[id]',
  'imports/[id]/refused.csv',
  'rules/effect',
  'rules/play',
];

/** What the readings ask for beside their account. */
async function needs(): Promise<Record<string, string[]>> {
  const [term] = await db()<{ product: number; group: number; term: number }[]>`
    select ${shop.product}::integer as product, g.ad_group_id as "group", f.term_id as term
    from mowing.term_day f join mowing.target g using (account_id, target_id)
    where f.account_id = ${shop.account} limit 1`;
  const days = 'from=2026-01-01&to=2026-12-31';
  const ofTerm = `adGroup=${term.group}&term=${term.term}`;
  const steps = ['dead', 'over', 'grow', 'test', 'harvest', 'negatives', 'placements', 'budgets', 'hours'];
  const files = ['terms', 'targets', 'placements', 'hours', 'sales', 'ranks', 'entities', 'costs', 'goals'];
  return {
    'build/terms': ['sold', 'core', 'parts'].map((list) => `product=${term.product}&from=${list}`),
    'changes/file': ['format=csv'],
    export: files.map((kind) => `kind=${kind}&${days}`),
    field: ['ad-group', 'target', 'placement', 'term'].map((grain) => `grain=${grain}`),
    history: ['from=2026-01-01'],
    notes: ['subject=campaign 1'],
    plan: steps.map((step) => `step=${step}`),
    'rank/days': [`product=${term.product}&term=${term.term}&days=30`],
    'rank/lines': [`product=${term.product}`],
    sums: ['account', 'campaign', 'target', 'term'].map((grain) => `grain=${grain}&${days}`),
    'term-days': [`${ofTerm}&${days}`],
    year: ['year=2026'],
  };
}

test('no query of a page, a send, an import or a sync reads rows of another account', async () => {
  const refused: string[] = [];
  const ask = async (where: string, body?: unknown) => {
    const answer = await fetch(app.url + where, {
      ...(body !== undefined && {
        method: 'POST',
        body: JSON.stringify(body),
        headers: { 'content-type': 'application/json' },
      }),
    });
    const told = await answer.text();
    if (!answer.ok) refused.push(`${where}: ${told}`);
    return told;
  };
  const extra = await needs();
  for (const file of listFiles('src/pages/api')) {
    const { GET } = (await import(path.resolve(file))) as { GET?: Endpoint };
    if (GET?.may !== 'see' && GET?.may !== 'own') continue;
    const where = path.relative('src/pages/api', file).replace(/(\/index)?\.ts$/, '');
    if (OF_ONE.includes(where)) continue;
    for (const more of extra[where] ?? [''])
      await ask(`/api/${where}?account=${shop.account}${more && `&${more}`}`);
  }
  const [target] = (await listTargets(db(), shop.account)).filter(({ bid }) => bid !== null);
  const change = { kind: 'set-bid', targetId: target.id, from: target.bid, to: 310_000 };
  const { account } = shop;
  const staged = await ask('/api/changes', { account, changes: [{ ...because, change }] });
  await ask('/api/bales', { account, ids: (JSON.parse(staged) as { ids: number[] }).ids });
  await ask('/api/sync', { account });
  await fetch(`${app.url}/api/imports?account=${shop.account}&kind=terms`, {
    method: 'POST',
    body: aReport({ rows: [aReportRow(), aReportRow({ term: 'crock' })] }),
  });
  expect(refused).toEqual([]);
  const kept = new Set(
    (
      await db()<{ name: string }[]>`
        select c.relname as name from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'account_id'
        where c.relnamespace = 'mowing'::regnamespace`
    ).map(({ name }) => name),
  );
  const plans = plansSince(from);
  expect(plans.length).toBeGreaterThan(300);
  const across = new Map<string, string>();
  for (const { sql, plan } of plans)
    for (const name of scansAcross(plan, kept))
      if (!LOOKED_THROUGH.includes(name)) across.set(`${name}: ${sql.slice(0, 150)}`, name);
  expect([...across.keys()]).toEqual([]);
});
