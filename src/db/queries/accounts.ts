import type { PlanChoices } from '../../contract/choices';
import { usualLimits } from '../../core/changes';
import type { MarketLimits } from '../../core/changes';
import type { MarketAccount, MarketOptions } from '../../contract/market';
import type { Window } from '../../core/windows';
import type { Query } from '../connection';

export interface AccountRow {
  id: number;
  name: string;
  currency: string;
  targetAcos: number;
  marketId: string | null;
  /** The connected market's present day, null for accounts fed by files. */
  marketDay: string | null;
  /** What its market accepts; of one that is fed by files alone, what its currency suggests. */
  limits: MarketLimits;
  options: MarketOptions | null;
  /** Prepaid money left, micros; null where the market bills afterwards. */
  funds: number | null;
  timeZone: string;
  /** How its campaigns are named; null: as usual. */
  namePattern: string | null;
  /** Raised with new figures, entities and accepted changes. */
  revision: number;
  /** Raised when facts or entities are written, with them. */
  figures: number;
  /** What its plans go by; null: as at first. */
  choices: PlanChoices | null;
  /** Up to where the market's changes of entities were taken over. */
  entityCursor: number;
  /** First and last day with data. */
  firstDay: string | null;
  lastDay: string | null;
  /** Days whose figures came summed, in order. */
  sums: Window[];
}

const columns = (sql: Query) => sql`
  a.account_id as id, a.name, a.currency, a.target_acos as "targetAcos", a.market_id as "marketId",
  a.market_day as "marketDay", a.limits, a.options, a.funds_micros as funds, a.entity_cursor as "entityCursor",
  a.time_zone as "timeZone", a.name_pattern as "namePattern", a.revision, a.figures, (select c.choices from mowing.plan_choices c where c.account_id = a.account_id and not c.taken_back
    order by c.choice_id desc limit 1) as choices,
  coalesce(terms.first_day, targets.first_day) as "firstDay", coalesce(terms.last_day, targets.last_day) as "lastDay",
  (select coalesce(jsonb_agg(distinct jsonb_build_object('from', s.first_day, 'to', s.last_day)), '[]') from mowing.summed s
   where s.account_id = a.account_id) as sums`;

/** Where an account's search terms reach, or its targets where it has no terms. */
const tables = (sql: Query) => sql`
  mowing.account a
  left join mowing.coverage terms on terms.account_id = a.account_id and terms.kind = 'terms'
  left join mowing.coverage targets on targets.account_id = a.account_id and targets.kind = 'targets'`;

type Stored = Omit<AccountRow, 'limits'> & { limits: MarketLimits | null };
const withLimits = (row: Stored): AccountRow => ({ ...row, limits: row.limits ?? usualLimits(row.currency) });

/** All accounts, oldest first. */
export async function listAccounts(sql: Query): Promise<AccountRow[]> {
  const rows = await sql<Stored[]>`select ${columns(sql)} from ${tables(sql)} order by a.account_id`;
  return rows.map(withLimits);
}

/** One account, undefined when there is none with this id. */
export async function findAccount(sql: Query, id: number): Promise<AccountRow | undefined> {
  const [row] = await sql<Stored[]>`select ${columns(sql)} from ${tables(sql)} where a.account_id = ${id}`;
  return row && withLimits(row);
}

/** The currency of an account, by its ISO 4217 code; undefined when there is none with this id. */
export async function findCurrency(sql: Query, id: number): Promise<string | undefined> {
  const [row] = await sql<
    { currency: string }[]
  >`select currency from mowing.account where account_id = ${id}`;
  return row?.currency;
}

/** Makes an account with no data and returns its id. */
export async function insertAccount(
  sql: Query,
  account: {
    name: string;
    currency: string;
    targetAcos: number;
    timeZone?: string;
    marketId?: string | null;
    isDemo?: boolean;
  },
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.account (name, currency, target_acos, market_id, is_demo, time_zone)
    values (${account.name}, ${account.currency}, ${account.targetAcos}, ${account.marketId ?? null}, ${account.isDemo ?? false},
      ${account.timeZone ?? 'UTC'})
    returning account_id as id`;
  return id;
}

/** Keeps how the account's campaigns are named. */
export async function keepNamePattern(tx: Query, accountId: number, pattern: string): Promise<void> {
  await tx`update mowing.account set name_pattern = ${pattern} where account_id = ${accountId}`;
}

/** Changes what the specialist may set on an account. */
export async function updateAccount(
  sql: Query,
  id: number,
  set: { name?: string; targetAcos?: number; timeZone?: string },
): Promise<void> {
  await sql`
    update mowing.account set name = coalesce(${set.name ?? null}, name),
      target_acos = coalesce(${set.targetAcos ?? null}, target_acos), time_zone = coalesce(${set.timeZone ?? null}, time_zone)
    where account_id = ${id}`;
}

/** Keeps what the market says of an account: its present day, limits, options and funds. */
export async function updateMarketFacts(sql: Query, id: number, remote: MarketAccount): Promise<void> {
  await sql`
    update mowing.account set market_day = ${remote.today}, limits = ${sql.json(remote.limits as never)},
      options = ${sql.json(remote.options as never)}, funds_micros = ${remote.funds}, time_zone = ${remote.timeZone}
    where account_id = ${id}`;
}

/** Our account for a market's, undefined when there is none. */
export async function findByMarketId(sql: Query, marketId: string): Promise<number | undefined> {
  const rows = await sql<
    { id: number }[]
  >`select account_id as id from mowing.account where market_id = ${marketId}`;
  return rows[0]?.id;
}

/** Removes an account with everything that belongs to it. */
export async function deleteAccount(sql: Query, id: number): Promise<void> {
  await sql`select mowing.delete_account(${id})`;
}

/** Removes the demo accounts and everything that belongs to them. */
export async function deleteDemoAccounts(sql: Query): Promise<void> {
  await sql`select mowing.delete_account(account_id) from mowing.account where is_demo`;
}

/** The market's ids of demo accounts that were loaded to their end. */
export async function listLoadedDemos(sql: Query): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    select market_id as id from mowing.account where is_demo and market_day is not null`;
  return rows.map(({ id }) => id);
}

/** Tells open pages that figures or entities are newer than what they show. */
export async function raiseRevision(sql: Query, accountId: number): Promise<void> {
  await sql`update mowing.account set revision = revision + 1 where account_id = ${accountId}`;
}

/** Tells that facts or entities were written; in the transaction that did so. */
export async function raiseFigures(tx: Query, accountId: number): Promise<void> {
  await tx`update mowing.account set figures = figures + 1 where account_id = ${accountId}`;
}

/** Keeps up to where the market's changes of entities were taken over. */
export async function keepEntityCursor(sql: Query, accountId: number, cursor: number): Promise<void> {
  await sql`update mowing.account set entity_cursor = ${cursor} where account_id = ${accountId}`;
}
