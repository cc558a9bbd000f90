import type { SummedInfo } from '../../contract/api';
import { MowingError } from '../../contract/mowingError';
import type { ReportKind } from '../../contract/reportFields';
import { raiseFigures, raiseRevision } from '../../db/queries/accounts';
import { renewCoverage } from '../../db/queries/coverage';
import { factTable } from '../../db/queries/factTables';
import { listSummed, removeSummed } from '../../db/queries/summed';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** What came summed over several days. */
export async function loadSummed(accountId: number): Promise<SummedInfo[]> {
  await needAccount(accountId);
  return (await listSummed(db(), accountId)).map(({ kind, from, to }) => ({
    kind: kind as ReportKind,
    from,
    to,
  }));
}

/** Removes a sum with its figures, so that its days can come one by one. @throws MowingError when it is gone already */
export async function removeSum(
  caller: Caller,
  accountId: number,
  kind: ReportKind,
  from: string,
): Promise<{ removed: number }> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, note) => {
    const table = factTable(kind);
    const removed = await removeSummed(tx, accountId, kind, from, table);
    if (removed === null)
      throw new MowingError('not-found', `No ${kind} that begin on ${from} are summed here any more.`);
    await renewCoverage(tx, accountId, kind, table.table);
    await raiseFigures(tx, accountId);
    await raiseRevision(tx, accountId);
    note({ what: 'remove summed figures', subject: `${kind} from ${from}`, from: { rows: removed } });
    return { removed };
  });
}
