// Brings the tables of Mowing and of the stand-in market up to date.
import { connect, databaseUrl } from '../../db/connection';
import { ensureDatabase, migrate } from '../../db/migrate';

const url = databaseUrl();
if (process.env.MOWING_ADMIN_URL) await ensureDatabase(process.env.MOWING_ADMIN_URL, url);
const sql = connect(url, { max: 1 });
try {
  if (process.argv.includes('--emptied')) await sql`drop schema if exists mowing, quaymarket cascade`;
  const applied = [
    ...(await migrate(sql, 'mowing', 'src/db/migrations')),
    ...(await migrate(sql, 'quaymarket', 'src/market/migrations')),
  ];
  if (applied.length > 0) process.stdout.write(`          applied ${applied.join(', ')}\n`);
} finally {
  await sql.end();
}
