import { THIS_MACHINE } from '../../src/server/trail';
import { findAccount, insertAccount } from '../../src/db/queries/accounts';
import type { AccountRow } from '../../src/db/queries/accounts';
import type { ImportKind } from '../../src/contract/reportFields';
import { findImport, listRefused } from '../../src/db/queries/imports';
import { readSums } from '../../src/db/queries/sums';
import { db } from '../../src/server/context/context';
import type { GivenFile } from '../../src/server/imports/givenFile';
import { exportData } from '../../src/server/exports/exportData';
import { takeIn as takeInAny } from '../../src/server/imports/takeIn';
import { takeInReport } from '../../src/server/imports/takeInReport';
import { inPieces } from '../make/report';

/** An empty account of its own for a test. */
export async function anAccount(currency = 'EUR'): Promise<AccountRow> {
  const id = await insertAccount(db(), { name: 'Test', currency, targetAcos: 0.24 });
  return (await findAccount(db(), id))!;
}

/** Takes in a report and returns what became of it. */
export async function takeIn(
  account: AccountRow,
  file: string | AsyncIterable<Uint8Array>,
  segmentRows?: number,
) {
  const source = typeof file === 'string' ? inPieces(file, segmentRows ? 300 : 4096) : file;
  const importId = await takeInReport(
    THIS_MACHINE,
    account,
    'terms',
    source,
    { name: 'report.csv', bytes: null },
    segmentRows,
  );
  const result = (await findImport(db(), importId))!;
  return {
    ...result,
    lines: (await listRefused(db(), importId)).map(({ line, reason }) => ({ line, reason })),
  };
}

/** Sums of everything that an account holds. */
export async function sumsOf(account: AccountRow) {
  const [sums] = await readSums(db(), {
    accountId: account.id,
    grain: 'account',
    scope: null,
    from: '2000-01-01',
    to: '2099-12-31',
    before: null,
    completion: [],
  });
  return sums ?? { rows: 0 };
}

/** Takes in a file of any kind and returns what became of it. */
export async function take(
  account: AccountRow,
  kind: ImportKind,
  file: string | Uint8Array,
  said: Partial<GivenFile> = {},
) {
  const importId = await takeInAny(THIS_MACHINE, account, kind, inPieces(file, 4096), {
    name: 'file',
    bytes: null,
    ...said,
  });
  const lines = (await listRefused(db(), importId)).map(({ line, reason }) => ({ line, reason }));
  return { ...(await findImport(db(), importId))!, lines };
}

/** What an account gives out of a kind, as a file. */
export async function exported(
  account: AccountRow,
  kind: ImportKind,
  format: 'csv' | 'xlsx' = 'csv',
): Promise<Buffer> {
  const parts: Uint8Array[] = [];
  for await (const part of (await exportData({ account: account.id, kind, format })).body) parts.push(part);
  return Buffer.concat(parts);
}
