import type { Stage } from '../../core/growth';
import type { Query } from '../connection';

/** A campaign's step in a growth plan. Budget in micros. */
export interface NewGrowthStep {
  ruleId: number;
  campaignId: number;
  /** Null: given back. */
  stage: Stage | null;
  day: string;
  isMade: boolean;
  part: string | null;
  budget: number | null;
  night: number | null;
  reason: string;
}

export async function insertGrowthStep(tx: Query, accountId: number, step: NewGrowthStep): Promise<void> {
  await tx`
    insert into mowing.growth_step (account_id, rule_id, campaign_id, stage, day, is_made, part, budget, night_id, reason)
    values (${accountId}, ${step.ruleId}, ${step.campaignId}, ${step.stage}, ${step.day}, ${step.isMade}, ${step.part}, ${step.budget}, ${step.night}, ${step.reason})`;
}

/** A campaign that a plan has now. */
export interface MemberRow {
  ruleId: number;
  campaignId: number;
  stage: Stage;
  /** Since when it is in its stage, and in the plan. */
  since: string;
  isMade: boolean;
  part: string | null;
  /** What it came with, micros. */
  budget: number | null;
  reason: string;
}

/** The campaigns of an account's growth plans: those that are neither given back nor ended. @param ruleId of one plan alone */
export async function listMembers(sql: Query, accountId: number, ruleId?: number): Promise<MemberRow[]> {
  return sql<MemberRow[]>`
    select s.rule_id as "ruleId", s.campaign_id as "campaignId", s.stage, s.day as since, s.is_made as "isMade", s.part, s.budget, s.reason
    from (select distinct on (rule_id, campaign_id) * from mowing.growth_step
      where account_id = ${accountId} ${ruleId === undefined ? sql`` : sql`and rule_id = ${ruleId}`}
      order by rule_id, campaign_id, step_id desc) s
    join mowing.campaign c on c.account_id = s.account_id and c.campaign_id = s.campaign_id
    join mowing.rule r on r.account_id = s.account_id and r.rule_id = s.rule_id
    where s.stage is not null and c.state <> 'archived' and r.removed_at is null
    order by s.rule_id, array_position(array['find', 'tune', 'grow'], s.stage), s.campaign_id`;
}

/** Moves between stages of a plan, the last first. */
export interface StepRow {
  day: string;
  campaign: string;
  stage: Stage | null;
  reason: string;
}

export async function listGrowthSteps(
  sql: Query,
  accountId: number,
  ruleId: number,
  most: number,
): Promise<StepRow[]> {
  return sql<StepRow[]>`
    select s.day, c.name as campaign, s.stage, s.reason
    from mowing.growth_step s join mowing.campaign c on c.account_id = s.account_id and c.campaign_id = s.campaign_id
    where s.account_id = ${accountId} and s.rule_id = ${ruleId} order by s.step_id desc limit ${most}`;
}

/** Takes back what a night moved between stages. @returns how many moves */
export async function dropStepsOfNight(tx: Query, accountId: number, night: number): Promise<number> {
  const rows = await tx`
    delete from mowing.growth_step s where s.account_id = ${accountId} and s.night_id = ${night}
      and exists (select from mowing.growth_step b where b.account_id = s.account_id and b.rule_id = s.rule_id
        and b.campaign_id = s.campaign_id and b.step_id < s.step_id) returning 1`;
  return rows.length;
}

/** Days of campaigns. Money in micros. */
export interface CampaignDay {
  campaignId: number;
  day: string;
  clicks: number;
  spend: number;
  orders: number;
  sales: number;
}

export async function listCampaignDays(
  sql: Query,
  accountId: number,
  campaigns: readonly number[],
  from: string,
): Promise<CampaignDay[]> {
  return sql<CampaignDay[]>`
    select g.campaign_id as "campaignId", f.day, sum(f.clicks)::float8 as clicks, sum(f.spend_micros)::float8 as spend,
      sum(f.orders)::float8 as orders, sum(f.sales_micros)::float8 as sales
    from mowing.target_day f join mowing.target t on t.account_id = f.account_id and t.target_id = f.target_id
    join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    where f.account_id = ${accountId} and g.campaign_id = any(${[...campaigns]}::integer[]) and f.day >= ${from}
    group by 1, 2 order by 2, 1`;
}

/** What targets of some campaigns were given so far. Spend in micros. */
export interface TriedRow {
  id: number;
  firstDay: string;
  clicks: number;
  spend: number;
  orders: number;
}

/** @param through last day whose clicks are counted; orders are counted whenever they came */
export async function listTried(
  sql: Query,
  accountId: number,
  campaigns: readonly number[],
  through: string,
): Promise<TriedRow[]> {
  return sql<TriedRow[]>`
    select t.target_id as id, min(f.day) as "firstDay", coalesce(sum(f.clicks) filter (where f.day <= ${through}), 0)::float8 as clicks,
      coalesce(sum(f.spend_micros) filter (where f.day <= ${through}), 0)::float8 as spend, sum(f.orders)::float8 as orders
    from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
    join mowing.target_day f on f.account_id = t.account_id and f.target_id = t.target_id
    where t.account_id = ${accountId} and g.campaign_id = any(${[...campaigns]}::integer[]) and t.state = 'enabled'
    group by 1`;
}
