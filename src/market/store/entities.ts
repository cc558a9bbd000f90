import type { EntityKind, MarketAccount } from '../../contract/market';
import type { MarketDb, MarketTx } from './connection';
import { ENTITY_TABLES } from './tables';

export async function listMarketAccounts(sql: MarketDb): Promise<MarketAccount[]> {
  return sql<MarketAccount[]>`
    select account_id as id, name, currency, today, first_day as "firstDay", target_acos as "targetAcos", time_zone as "timeZone", limits, options,
           (state ->> 'funds')::bigint as funds
    from quaymarket.account order by account_id`;
}

/** An account's scenario and present day; undefined when there is none with this id. */
export async function findMarketAccount(
  sql: MarketTx,
  account: string,
): Promise<{ scenario: string; today: string; firstDay: string; changes: number } | undefined> {
  const [row] = await sql`
    select scenario, today, first_day as "firstDay", changes from quaymarket.account where account_id = ${account}`;
  return row as { scenario: string; today: string; firstDay: string; changes: number } | undefined;
}

/** Pays prepaid money in. @returns what is left then, micros; null where the account is billed afterwards */
export async function payIn(sql: MarketDb, account: string, amount: number): Promise<number | null> {
  const [row] = await sql`
    update quaymarket.account set state = jsonb_set(state, '{funds}', to_jsonb((state ->> 'funds')::bigint + ${amount}::bigint))
    where account_id = ${account} and (state ->> 'funds') is not null returning (state ->> 'funds')::bigint as funds`;
  return (row?.funds as number | undefined) ?? null;
}

export const columnsOf = (sql: MarketTx, kind: EntityKind) =>
  sql.unsafe(
    Object.entries(ENTITY_TABLES[kind].columns)
      .map(([word, column]) => `e.${column} as "${word}"`)
      .join(', '),
  );

/** One page of an account's entities in the order of their ids: those after `after`, changed later than `since`. */
export async function listEntities(
  sql: MarketDb,
  account: string,
  kind: EntityKind,
  { after, since, limit }: { after: string; since: number; limit: number },
): Promise<Record<string, unknown>[]> {
  return sql`
    select ${columnsOf(sql, kind)} from quaymarket.${sql.unsafe(ENTITY_TABLES[kind].table)} e
    where e.account_id = ${account} and e.id > ${after} and e.changed >= ${since}
    order by e.id limit ${limit}`;
}
