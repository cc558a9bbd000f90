// npm run import -- --account ID [--kind KIND] FILE: takes in a report or list from the command line.
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { findAccount } from '../../db/queries/accounts';
import { findImport, listRefused } from '../../db/queries/imports';
import { THIS_MACHINE } from '../trail';
import { db } from '../context/context';
import { inMoneyOf } from '../context/ownMoney';
import { IMPORT_LABELS } from '../../contract/reportFields';
import type { ImportKind } from '../../contract/reportFields';
import { takeIn } from '../imports/takeIn';
import { asProgram } from './asProgram';

const USAGE = 'Use: npm run import -- --account ID [--kind KIND] FILE';
const SHOWN = 10;

async function main(): Promise<number> {
  process.env.MOWING_LOG = 'silent';
  const { values, positionals } = parseArgs({
    options: { account: { type: 'string' }, kind: { type: 'string', default: 'terms' } },
    allowPositionals: true,
  });
  const [file] = positionals;
  if (!values.account || !file) throw new Error(USAGE);
  if (!(values.kind in IMPORT_LABELS))
    throw new Error(`There is no kind “${values.kind}”; choose ${Object.keys(IMPORT_LABELS).join(', ')}.`);
  const account = await findAccount(db(), Number(values.account));
  if (!account) throw new Error(`There is no account ${values.account}. GET /api/accounts lists them.`);
  const { size } = await stat(file);
  const named = { name: path.basename(file), bytes: size };
  const importId = await inMoneyOf(account.id, () =>
    takeIn(THIS_MACHINE, account, values.kind as ImportKind, createReadStream(file), named),
  );
  const result = (await findImport(db(), importId))!;
  process.stdout.write(`${result.message}\n`);
  const refused = await listRefused(db(), importId);
  for (const row of refused.slice(0, SHOWN)) process.stdout.write(`  line ${row.line}: ${row.reason}\n`);
  if (result.refused > SHOWN)
    process.stdout.write(
      `  … and ${result.refused - SHOWN} more: /api/imports/${importId}/refused.csv?account=${account.id}\n`,
    );
  return result.state === 'done' ? 0 : 1;
}

await asProgram(main);
