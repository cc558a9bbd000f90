import { THIS_MACHINE } from '../../src/server/trail';
import { execFileSync } from 'node:child_process';
import { createReadStream, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { findAccount, insertAccount } from '../../src/db/queries/accounts';
import { findImport } from '../../src/db/queries/imports';
import { db } from '../../src/server/context/context';
import { takeInReport } from '../../src/server/imports/takeInReport';
import { makeReport } from './makeReport';
import { median, say, timed } from './timed';

/** The floor: psql's \copy of the same file into a plain typed table without index. */
async function bareCopy(file: string) {
  await db()`drop table if exists public.bench_copy`;
  await db()`
    create table public.bench_copy (day date, campaign_id text, campaign text, ad_group_id text, ad_group text, target_id text,
      target text, match text, term text, impressions integer, clicks integer, spend numeric, orders integer, units integer,
      sales numeric, currency text)`;
  const psql = process.env.MOWING_PSQL ?? 'psql';
  execFileSync(psql, [
    process.env.DATABASE_URL!,
    '-q',
    '-c',
    `\\copy public.bench_copy from '${file}' with (format csv, header)`,
  ]);
  await db()`drop table public.bench_copy`;
}

async function takeIn(accountId: number, file: string) {
  const account = (await findAccount(db(), accountId))!;
  const importId = await takeInReport(THIS_MACHINE, account, 'terms', createReadStream(file), {
    name: 'bench',
    bytes: statSync(file).size,
  });
  return (await findImport(db(), importId))!;
}

/** The import of a search-term report, and of the same again, beside a bare copy of the file. */
export async function benchImport(rows: number): Promise<void> {
  const file = path.join(tmpdir(), `mowing-bench-${process.pid}.csv`);
  try {
    say(`Making a report of ${rows.toLocaleString('en')} rows …`);
    await makeReport(file, rows);
    const accountId = await insertAccount(db(), {
      name: `Bench ${process.pid}`,
      currency: 'EUR',
      targetAcos: 0.25,
    });
    // The floor is measured three times, around the imports, since the machine's speed wanders; its median counts.
    const floors = [await timed(() => bareCopy(file))];
    const first = await timed(() => takeIn(accountId, file));
    floors.push(await timed(() => bareCopy(file)));
    const again = await timed(() => takeIn(accountId, file));
    floors.push(await timed(() => bareCopy(file)));
    const seconds = floors.map((one) => one.seconds);
    const floor = median(seconds);
    const rate = (time: number) => `${Math.round(rows / time).toLocaleString('en')} rows/s`;
    say(`bare \\copy            ${rate(floor)}   (${seconds.map((time) => time.toFixed(1)).join(', ')} s)`);
    say(
      `import                ${rate(first.seconds)}   (${first.seconds.toFixed(1)} s, kept ${first.value.kept})`,
    );
    say(
      `import of the same    ${rate(again.seconds)}   (${again.seconds.toFixed(1)} s, unchanged ${again.value.unchanged})`,
    );
    say(`import / bare \\copy   ${(floor / first.seconds).toFixed(2)}   (bar: at least 0.33)`);
    await db()`select mowing.delete_account(${accountId})`;
  } finally {
    rmSync(file, { force: true });
  }
}
