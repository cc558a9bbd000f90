import { FACTS } from '../../src/contract/facts';
import type { ReportKind } from '../../src/contract/facts';
import { raiseFigures } from '../../src/db/queries/accounts';
import { factTable } from '../../src/db/queries/factTables';
import { noteKeptDays } from '../../src/db/queries/keptDays';
import { addUpWeeks } from '../../src/db/queries/weeks';
import { db } from '../../src/server/context/context';

/** After facts were written by hand: their weeks are added up, and what was read of them before counts no more. */
export async function factsChanged(accountId: number): Promise<void> {
  for (const kind of Object.keys(FACTS) as ReportKind[]) {
    const table = factTable(kind);
    const days = await db()<{ day: string }[]>`
      select distinct day from ${db().unsafe(table.table)} where account_id = ${accountId}`;
    const written = days.map(({ day }) => day);
    await addUpWeeks(db(), accountId, table, written);
    await noteKeptDays(db(), accountId, kind, new Map(written.map((day) => [day, null])));
  }
  await raiseFigures(db(), accountId);
}
