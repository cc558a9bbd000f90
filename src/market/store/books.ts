import type { EntityKind, MarketEntities } from '../../contract/market';
import { normaliseTerm } from '../../core/matching';
import type { Books } from '../sim';
import type { MarketTx } from './connection';
import { columnsOf } from './entities';
import { columnValue, ENTITY_TABLES } from './tables';

/** The seller's books as the simulation takes them. */
export async function loadBooks(sql: MarketTx, account: string): Promise<Books> {
  const list = async <K extends EntityKind>(kind: K) =>
    (await sql`
      select ${columnsOf(sql, kind)} from quaymarket.${sql.unsafe(ENTITY_TABLES[kind].table)} e
      where e.account_id = ${account} order by e.id`) as unknown as MarketEntities[K][];
  return {
    campaigns: (await list('campaigns')).map(({ top, rest, pages, ...campaign }) => ({
      ...campaign,
      modifiers: { top, rest, pages },
    })),
    adGroups: await list('ad-groups'),
    ads: await list('ads'),
    targets: await list('targets'),
    negatives: await list('negatives'),
    schedules: await list('schedules'),
  };
}

const ROWS_AT_ONCE = 2000;

/** Writes entities of a kind as they are: for a scenario's first day. */
export async function writeEntities(
  tx: MarketTx,
  account: string,
  kind: EntityKind,
  list: readonly object[],
): Promise<void> {
  const { table, columns } = ENTITY_TABLES[kind];
  const rows = list.map((entity) => {
    const values = entity as Record<string, unknown>;
    const row: Record<string, unknown> = { account_id: account };
    for (const [word, column] of Object.entries(columns)) {
      row[column] = columnValue(tx, word, values[word] ?? null);
    }
    if (table === 'target' || table === 'negative') row.norm = normaliseTerm(String(values.expression));
    return row;
  });
  for (let at = 0; at < rows.length; at += ROWS_AT_ONCE)
    await tx`insert into quaymarket.${tx.unsafe(table)} ${tx(rows.slice(at, at + ROWS_AT_ONCE))}`;
}

/** Campaigns of the books as the market's tables hold them. */
export const flatCampaigns = ({ campaigns }: Books) =>
  campaigns.map(({ modifiers, ...campaign }) => ({ ...campaign, ...modifiers }));
