import type { BuildPlan } from '../../core/build';
import type { Change, ChangeState } from '../../core/changes';
import type { Query } from '../connection';

/** A plan of campaigns as it is kept. */
export interface PlanRow {
  id: number;
  plan: BuildPlan;
  changedAt: string;
  isThrown: boolean;
}

const COLUMNS = `plan_id as id, plan, changed_at as "changedAt", thrown_at is not null as "isThrown"`;

export async function insertPlan(tx: Query, accountId: number, plan: BuildPlan): Promise<number> {
  const [{ id }] = await tx<{ id: number }[]>`
    insert into mowing.build_plan (account_id, plan) values (${accountId}, ${tx.json(plan as never)}) returning plan_id as id`;
  return id;
}

/** @returns false when there is no such plan */
export async function updatePlan(
  tx: Query,
  accountId: number,
  id: number,
  plan: BuildPlan,
): Promise<boolean> {
  const rows = await tx`
    update mowing.build_plan set plan = ${tx.json(plan as never)}, changed_at = now()
    where account_id = ${accountId} and plan_id = ${id} returning 1`;
  return rows.length > 0;
}

/** @returns false when there is no such plan */
export async function throwPlan(
  tx: Query,
  accountId: number,
  id: number,
  isThrown: boolean,
): Promise<boolean> {
  const rows = await tx`
    update mowing.build_plan set thrown_at = ${isThrown ? tx`now()` : null} where account_id = ${accountId} and plan_id = ${id} returning 1`;
  return rows.length > 0;
}

export async function findPlan(sql: Query, accountId: number, id: number): Promise<PlanRow | undefined> {
  const [row] = await sql<PlanRow[]>`
    select ${sql.unsafe(COLUMNS)} from mowing.build_plan where account_id = ${accountId} and plan_id = ${id}`;
  return row;
}

/** The last changed first. */
export async function listPlans(sql: Query, accountId: number): Promise<PlanRow[]> {
  return sql<PlanRow[]>`
    select ${sql.unsafe(COLUMNS)} from mowing.build_plan where account_id = ${accountId} order by changed_at desc, plan_id desc`;
}

/** A change that makes a line of a plan. */
export interface PlanChangeRow {
  id: number;
  planId: number;
  line: string;
  change: Change;
  state: ChangeState;
  baleId: number | null;
  answer: string | null;
}

/** The last change of every line of a plan (or of all plans); what was taken out of the tray counts as never made. */
export async function listPlanChanges(
  sql: Query,
  accountId: number,
  planId: number | null,
): Promise<PlanChangeRow[]> {
  return sql<PlanChangeRow[]>`
    select distinct on (2, 3) change_id as id, (figures->>'plan')::integer as "planId", figures->>'line' as line, change, state, bale_id as "baleId", answer
    from mowing.change
    where account_id = ${accountId} and figures ? 'plan' and state <> 'withdrawn'
      ${planId === null ? sql`` : sql`and (figures->>'plan')::integer = ${planId}`}
    order by 2, 3, change_id desc`;
}

/** Plans of which something was put to the tray or sent. */
export async function listLaunchedPlans(sql: Query, accountId: number): Promise<Set<number>> {
  const rows = await sql<{ id: number }[]>`
    select distinct (figures->>'plan')::integer as id from mowing.change
    where account_id = ${accountId} and figures ? 'plan' and state <> 'withdrawn'`;
  return new Set(rows.map(({ id }) => id));
}

/** Brands that the account has bid on, the most used first. */
export async function listBrands(sql: Query, accountId: number): Promise<string[]> {
  const rows = await sql<{ name: string }[]>`
    select expression as name from mowing.target where account_id = ${accountId} and kind = 'brand' group by 1 order by count(*) desc, 1 limit 200`;
  return rows.map(({ name }) => name);
}
