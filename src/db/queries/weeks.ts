import { addDays, mondayOf } from '../../core/units';
import type { Query } from '../connection';
import { keyColumns } from './factTables';
import type { FactTable } from './factTables';
import { sumOf } from './sumOf';

/**
 * Adds up anew the weeks that some days lie in. Called in the transaction that wrote them, so that weeks and days never differ. A week
 * at a time: its rows fit into memory.
 */
export async function addUpWeeks(
  tx: Query,
  accountId: number,
  table: FactTable,
  days: Iterable<string>,
): Promise<void> {
  const { weekTable } = table;
  if (weekTable === null) return;
  const weeks = [...new Set([...days].map(mondayOf))].sort();
  if (weeks.length === 0) return;
  await tx`select mowing.ensure_partitions(${weekTable.replace('mowing.', '')}, ${weeks}::date[])`;
  const keys = keyColumns(table)
    .filter((column) => column !== 'day')
    .join(', ');
  const columns = table.figures.map(({ column }) => column);
  const summed = columns.map(sumOf);
  const hasClicks = columns.includes('clicks');
  const clicked = hasClicks ? ', count(*) filter (where clicks > 0)' : '';
  for (const week of weeks) {
    await tx`delete from ${tx.unsafe(weekTable)} where account_id = ${accountId} and week = ${week}`;
    await tx`
      insert into ${tx.unsafe(weekTable)} (account_id, week, ${tx.unsafe([keys, ...columns, ...(hasClicks ? ['clicked_days'] : [])].join(', '))})
      select ${accountId}::integer, ${week}::date, ${tx.unsafe(keys)}, ${tx.unsafe(summed.join(', '))} ${tx.unsafe(clicked)}
      from ${tx.unsafe(table.table)}
      where account_id = ${accountId} and day between ${week} and ${addDays(week, 6)}
      group by ${tx.unsafe(keys)}
      order by ${tx.unsafe(hasClicks ? 'sum(clicks) > 0 desc,' : '')} ${tx.unsafe(keys)}`;
  }
}
