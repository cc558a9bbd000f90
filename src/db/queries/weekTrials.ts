import type { NewChange } from '../../contract/changes';
import type { TrialState, TrialVerdictTold } from '../../contract/trials';
import type { WeekSums } from '../../core/trials';
import type { Query } from '../connection';

/** A trial by weeks as it is kept. Bounds are shares. */
export interface TrialRow {
  id: number;
  name: string;
  campaigns: number[];
  changes: NewChange[];
  firstDay: string;
  weeks: number;
  rankBound: number;
  salesBound: number;
  state: TrialState;
  why: string | null;
  verdict: TrialVerdictTold | null;
  endedOn: string | null;
}

export type TrialToKeep = Pick<
  TrialRow,
  'name' | 'campaigns' | 'changes' | 'firstDay' | 'weeks' | 'rankBound' | 'salesBound'
>;

/** The account's trials, the newest first. */
export const listTrials = (sql: Query, accountId: number, only?: { id?: number; state?: TrialState }) =>
  sql<TrialRow[]>`
    select trial_id as id, name, campaigns, changes, first_day as "firstDay", weeks, rank_bound as "rankBound",
      sales_bound as "salesBound", state, why, verdict, ended_on as "endedOn"
    from mowing.week_trial where account_id = ${accountId}
    ${only?.id === undefined ? sql`` : sql`and trial_id = ${only.id}`}
    ${only?.state === undefined ? sql`` : sql`and state = ${only.state}`}
    order by trial_id desc`;

export const listRunningTrials = (sql: Query, accountId: number) =>
  listTrials(sql, accountId, { state: 'running' });

export async function insertTrial(sql: Query, accountId: number, trial: TrialToKeep): Promise<number> {
  const { name, campaigns, changes, firstDay, weeks, rankBound, salesBound } = trial;
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.week_trial (account_id, name, campaigns, changes, first_day, weeks, rank_bound, sales_bound)
    values (${accountId}, ${name}, ${campaigns}::integer[], ${sql.json(changes as never)}, ${firstDay}, ${weeks}, ${rankBound}, ${salesBound})
    returning trial_id as id`;
  return id;
}

/** Ends a running trial. @returns false when it runs no more */
export async function endTrial(
  sql: Query,
  accountId: number,
  id: number,
  end: Pick<TrialRow, 'why' | 'verdict' | 'endedOn'> & { state: 'ended' | 'stopped' },
): Promise<boolean> {
  const ended = await sql`
    update mowing.week_trial set state = ${end.state}, why = ${end.why}, verdict = ${sql.json(end.verdict as never)}, ended_on = ${end.endedOn}
    where account_id = ${accountId} and trial_id = ${id} and state = 'running' returning 1`;
  return ended.length > 0;
}

/** A switch of a trial: on or off from a day, by changes of the account. */
export interface TrialSwitch {
  week: number;
  isOn: boolean;
  day: string;
  changeIds: number[];
}

/** The switches of a trial, the oldest first. */
export const listSwitches = (sql: Query, accountId: number, trialId: number) =>
  sql<TrialSwitch[]>`
    select week, is_on as "isOn", day, change_ids as "changeIds" from mowing.week_trial_switch
    where account_id = ${accountId} and trial_id = ${trialId} order by week`;

export const insertSwitch = (sql: Query, accountId: number, trialId: number, one: TrialSwitch) => sql`
  insert into mowing.week_trial_switch (account_id, trial_id, week, is_on, day, change_ids)
  values (${accountId}, ${trialId}, ${one.week}, ${one.isOn}, ${one.day}, ${one.changeIds}::bigint[])`;

/** Campaigns with those that advertise the same products: what one gives up, the others of its product take. */
export async function withSameProducts(
  sql: Query,
  accountId: number,
  campaigns: readonly number[],
): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    select distinct o.campaign_id as id from mowing.ad_group g
    join mowing.ad_group o on o.account_id = g.account_id and o.product_id = g.product_id
    where g.account_id = ${accountId} and g.campaign_id = any(${campaigns as number[]}::integer[])`;
  return [...new Set([...campaigns, ...rows.map(({ id }) => id)])];
}

/** What campaigns did by week from a day on up to another: those of a trial, and the others. Money in micros. */
export const sumTrialWeeks = (
  sql: Query,
  accountId: number,
  campaigns: readonly number[],
  from: string,
  to: string,
) =>
  sql<(WeekSums & { week: number; isOwn: boolean })[]>`
    select (day - ${from}::date) / 7 as week, campaign_id = any(${campaigns as number[]}::integer[]) as "isOwn",
      sum(clicks)::float8 as clicks, sum(orders)::float8 as orders, sum(spend_micros)::float8 as spend, sum(sales_micros)::float8 as sales
    from mowing.placement_day
    where account_id = ${accountId} and day between ${from} and ${to}
    group by 1, 2`;

/** All sales of products by whether campaigns advertise them, micros, and on how many days they are known. */
export const sumTouchedSales = (
  sql: Query,
  accountId: number,
  campaigns: readonly number[],
  from: string,
  to: string,
) =>
  sql<{ isOwn: boolean; sales: number; days: number }[]>`
    select p.product_id = any(
        select g.product_id from mowing.ad_group g where g.account_id = ${accountId} and g.campaign_id = any(${campaigns as number[]}::integer[])
          and g.product_id is not null) as "isOwn",
      sum(p.sales_micros)::float8 as sales, count(distinct p.day)::integer as days
    from mowing.product_day p where p.account_id = ${accountId} and p.day between ${from} and ${to} group by 1`;

/** The mean of ln organic place of the terms of the products that campaigns advertise, those that are known in both spans alone. */
export async function meanRanks(
  sql: Query,
  accountId: number,
  campaigns: readonly number[],
  before: { from: string; to: string },
  now: { from: string; to: string },
): Promise<{ before: number; now: number; terms: number } | null> {
  // Beyond the last page: at least one place worse than the worst that is told.
  const place = sql`case when r.organic_rank > 0 then r.organic_rank else 1 + (
    select max(d.organic_rank) from mowing.rank_day d where d.account_id = ${accountId} and d.day between ${before.from} and ${now.to}) end`;
  const [row] = await sql<{ before: number | null; now: number | null; terms: number }[]>`
    with ranked as (
      select r.product_id, r.term_id,
        avg(ln(${place})) filter (where r.day between ${before.from} and ${before.to}) as before,
        avg(ln(${place})) filter (where r.day between ${now.from} and ${now.to}) as now
      from mowing.rank_day r
      where r.account_id = ${accountId} and r.day between ${before.from} and ${now.to} and r.product_id in (
        select g.product_id from mowing.ad_group g where g.account_id = ${accountId} and g.campaign_id = any(${campaigns as number[]}::integer[]))
      group by 1, 2)
    select avg(before)::float8 as before, avg(now)::float8 as now, count(*)::integer as terms
    from ranked where before is not null and now is not null`;
  return row.terms > 0 ? { before: row.before!, now: row.now!, terms: row.terms } : null;
}
