import type { LastNight, LeftOut, Played } from '../../contract/rules';
import type { Change } from '../../core/changes';
import type { Rule, RuleGuards } from '../../core/rules';
import type { Query } from '../connection';

export interface RuleRow {
  id: number;
  place: number;
  rule: Rule;
  isOn: boolean;
  stoppedWhy: string | null;
  /** The rule as it was tried, as text. */
  tried: string | null;
  /** The rule as it was played, as text. */
  played: string | null;
  /** Its last night that looked. */
  lastNight: string | null;
}

/** Rules of an account that were not removed, in their order. */
export async function listRules(sql: Query, accountId: number): Promise<RuleRow[]> {
  return sql<RuleRow[]>`
    select r.rule_id as id, r.place, '{"growth": null, "swath": null, "placements": null, "newTerms": null}'::jsonb || r.rule as rule, r.is_on as "isOn", r.stopped_why as "stoppedWhy", r.tried, r.played,
      (select max(n.day) from mowing.rule_night n where n.account_id = r.account_id and n.rule_id = r.rule_id and n.state <> 'skipped') as "lastNight"
    from mowing.rule r where r.account_id = ${accountId} and r.removed_at is null order by r.place, r.rule_id`;
}

export async function insertRule(tx: Query, accountId: number, rule: Rule, isOn: boolean): Promise<number> {
  const [{ id }] = await tx<{ id: number }[]>`
    insert into mowing.rule (account_id, place, rule, is_on)
    values (${accountId}, (select coalesce(max(place), 0) + 1 from mowing.rule where account_id = ${accountId}), ${tx.json(rule as never)}, ${isOn})
    returning rule_id as id`;
  return id;
}

/** @param isAnswered somebody said whether it is to be on: then it has not stopped itself any more */
export async function updateRule(
  tx: Query,
  accountId: number,
  id: number,
  { rule, isOn, isAnswered }: { rule: Rule; isOn: boolean; isAnswered: boolean },
): Promise<void> {
  await tx`
    update mowing.rule set rule = ${tx.json(rule as never)}, is_on = ${isOn}, stopped_why = case when ${isAnswered} then null else stopped_why end
    where account_id = ${accountId} and rule_id = ${id}`;
}

export async function keepTried(tx: Query, accountId: number, id: number, tried: string): Promise<void> {
  await tx`update mowing.rule set tried = ${tried} where account_id = ${accountId} and rule_id = ${id}`;
}

export async function keepPlayed(
  tx: Query,
  accountId: number,
  id: number,
  played: string,
  told: Omit<Played, 'playedAt' | 'isAsItStands'>,
): Promise<void> {
  await tx`
    update mowing.rule set played = ${played}, played_told = ${tx.json(told as never)}, played_at = now()
    where account_id = ${accountId} and rule_id = ${id}`;
}

export async function readPlayed(
  sql: Query,
  accountId: number,
  id: number,
): Promise<Omit<Played, 'isAsItStands'> | null> {
  const [row] = await sql<{ told: Omit<Played, 'playedAt' | 'isAsItStands'> | null; playedAt: string }[]>`
    select played_told as told, played_at as "playedAt" from mowing.rule where account_id = ${accountId} and rule_id = ${id}`;
  return row?.told ? { ...row.told, playedAt: row.playedAt } : null;
}

export async function stopRules(
  tx: Query,
  accountId: number,
  ids: readonly number[],
  why: string,
): Promise<void> {
  await tx`
    update mowing.rule set is_on = false, stopped_why = ${why}
    where account_id = ${accountId} and rule_id = any(${[...ids]}::integer[])`;
}

/** @returns false when there is no such rule */
export async function removeRule(
  tx: Query,
  accountId: number,
  id: number,
  isRemoved: boolean,
): Promise<boolean> {
  const rows = await tx`
    update mowing.rule set removed_at = ${isRemoved ? tx`now()` : null}, is_on = is_on and not ${isRemoved}
    where account_id = ${accountId} and rule_id = ${id} returning 1`;
  return rows.length > 0;
}

/** Rules that are not named keep their places behind the others. */
export async function orderRules(tx: Query, accountId: number, ids: readonly number[]): Promise<void> {
  await tx`
    update mowing.rule r set place = coalesce(array_position(${[...ids]}::integer[], r.rule_id), 100000 + r.place)
    where r.account_id = ${accountId}`;
}

export async function readGuards(sql: Query, accountId: number): Promise<Partial<RuleGuards> | null> {
  const [row] = await sql<{ guards: Partial<RuleGuards> | null }[]>`
    select rule_guards as guards from mowing.account where account_id = ${accountId}`;
  return row?.guards ?? null;
}

export async function keepGuards(tx: Query, accountId: number, guards: RuleGuards): Promise<void> {
  await tx`update mowing.account set rule_guards = ${tx.json(guards as never)} where account_id = ${accountId}`;
}

/** A night of a rule as it is written down. */
export interface NewNight {
  ruleId: number;
  day: string;
  state: 'planned' | 'done' | 'skipped';
  sends: boolean;
  looked: number;
  made: number;
  spend: number;
  sales: number;
  leftOut: LeftOut[];
  why: string | null;
}

/** Writes a night down; one that was skipped before makes room. @returns its id; null when the rule had this night already */
export async function insertNight(tx: Query, accountId: number, night: NewNight): Promise<number | null> {
  const ended = night.state === 'planned' ? null : tx`now()`;
  const rows = await tx<{ id: number }[]>`
    insert into mowing.rule_night as n (account_id, rule_id, day, state, sends, looked, made, spend, sales, left_out, why, ended_at)
    values (${accountId}, ${night.ruleId}, ${night.day}, ${night.state}, ${night.sends}, ${night.looked}, ${night.made},
      ${Math.round(night.spend)}, ${Math.round(night.sales)}, ${tx.json(night.leftOut as never)}, ${night.why}, ${ended})
    on conflict (account_id, rule_id, day) do update
      set state = excluded.state, sends = excluded.sends, looked = excluded.looked, made = excluded.made, spend = excluded.spend,
        sales = excluded.sales, left_out = excluded.left_out, why = excluded.why, began_at = now(), ended_at = excluded.ended_at
      where n.state = 'skipped'
    returning night_id as id`;
  return rows[0]?.id ?? null;
}

export async function endNight(
  tx: Query,
  accountId: number,
  id: number,
  { baleId, why }: { baleId: number | null; why: string | null },
): Promise<void> {
  await tx`
    update mowing.rule_night set state = 'done', bale_id = coalesce(${baleId}, bale_id), why = coalesce(${why}, why), ended_at = now()
    where account_id = ${accountId} and night_id = ${id}`;
}

/** A night whose changes stand in the tray and are to be sent, with those of them that nobody took out. */
export interface PlannedNight {
  id: number;
  ruleId: number;
  day: string;
  /** Whether its rule is on still. */
  isOn: boolean;
  staged: number[];
}

export async function listPlannedNights(sql: Query, accountId: number): Promise<PlannedNight[]> {
  return sql<PlannedNight[]>`
    select n.night_id as id, n.rule_id as "ruleId", n.day, r.is_on and r.removed_at is null as "isOn",
      array(select c.change_id from mowing.change c where c.account_id = n.account_id and c.figures ? 'night'
        and (c.figures->>'night')::integer = n.night_id and c.state = 'staged' order by c.change_id) as staged
    from mowing.rule_night n join mowing.rule r on r.account_id = n.account_id and r.rule_id = n.rule_id
    where n.account_id = ${accountId} and n.state = 'planned' order by n.night_id`;
}

export interface NightRow extends NewNight {
  id: number;
  rule: string;
  baleId: number | null;
  staged: number;
  accepted: number;
  refused: number;
  undone: number;
}

/** The last nights, the newest first, with what became of their changes. */
export async function listNights(sql: Query, accountId: number, most = 200): Promise<NightRow[]> {
  return sql<NightRow[]>`
    select n.night_id as id, n.rule_id as "ruleId", r.rule->>'name' as rule, n.day, n.state, n.sends, n.looked, n.made, n.spend, n.sales,
      n.left_out as "leftOut", n.bale_id as "baleId", n.why, c.staged, c.accepted, c.refused, c.undone
    from mowing.rule_night n join mowing.rule r on r.account_id = n.account_id and r.rule_id = n.rule_id,
      lateral (select count(*) filter (where state in ('staged', 'sending'))::integer as staged,
          count(*) filter (where state = 'accepted')::integer as accepted, count(*) filter (where state = 'refused')::integer as refused,
          count(*) filter (where exists (select from mowing.change u where u.account_id = c.account_id and u.undoes_change_id = c.change_id
            and u.state in ('staged', 'sending', 'accepted')))::integer as undone
        from mowing.change c where c.account_id = n.account_id and c.figures ? 'night' and (c.figures->>'night')::integer = n.night_id) c
    where n.account_id = ${accountId} order by n.day desc, n.night_id desc limit ${most}`;
}

/** What the rules did together in the last night in which one looked; undefined for none. */
export async function findLastNight(sql: Query, accountId: number): Promise<LastNight | undefined> {
  const [row] = await sql<LastNight[]>`
    select max(night_id) as id, day, count(*)::integer as rules, sum(made)::integer as made,
      coalesce(sum(made) filter (where bale_id is not null), 0)::integer as sent
    from mowing.rule_night where account_id = ${accountId} and state <> 'skipped' group by day order by day desc limit 1`;
  return row;
}

/** Changes of a night, by what became of them. */
export async function listNightChanges(
  sql: Query,
  accountId: number,
  night: number,
): Promise<{ id: number; state: string; baleId: number | null }[]> {
  return sql<{ id: number; state: string; baleId: number | null }[]>`
    select change_id as id, state, bale_id as "baleId" from mowing.change
    where account_id = ${accountId} and figures ? 'night' and (figures->>'night')::integer = ${night} order by change_id`;
}

/** What an account spent and sold a week, the last first, counted back from a day; targets' figures. */
export async function sumWeeks(
  sql: Query,
  accountId: number,
  through: string,
  weeks: number,
): Promise<{ spend: number; sales: number }[]> {
  const rows = await sql<{ week: number; spend: number; sales: number; days: number }[]>`
    select ((${through}::date - day) / 7)::integer as week, sum(spend_micros)::float8 as spend, sum(sales_micros)::float8 as sales, count(distinct day)::integer as days
    from mowing.target_day where account_id = ${accountId} and day <= ${through} and day > ${through}::date - ${weeks * 7}::integer
    group by 1 order by 1`;
  // A week in part is no week.
  return rows.filter(({ days }) => days === 7).map(({ spend, sales }) => ({ spend, sales }));
}

/** A change that a rule made. */
export interface RuleChangeRow {
  day: string;
  change: Change;
  campaign: string | null;
  reason: string;
  state: string;
}

/** The last changes of a rule, the newest first, by the night that decided on them. */
export async function listRuleChanges(
  sql: Query,
  accountId: number,
  ruleId: number,
  most: number,
): Promise<RuleChangeRow[]> {
  return sql<RuleChangeRow[]>`
    select n.day, c.change, p.name as campaign, c.reason, c.state
    from mowing.rule_night n
    join mowing.change c on c.account_id = n.account_id and c.figures ? 'night' and (c.figures->>'night')::integer = n.night_id
    left join mowing.target t on t.account_id = c.account_id
      and t.target_id = coalesce((c.change->>'targetId')::integer, case when c.change->>'entity' = 'target' then (c.change->>'id')::integer end)
    left join mowing.ad_group g on g.account_id = c.account_id and g.ad_group_id = coalesce((c.change->>'adGroupId')::integer, t.ad_group_id)
    left join mowing.campaign p on p.account_id = c.account_id and p.campaign_id = coalesce((c.change->>'campaignId')::integer, g.campaign_id)
    where n.account_id = ${accountId} and n.rule_id = ${ruleId} order by n.day desc, c.change_id desc limit ${most}`;
}
