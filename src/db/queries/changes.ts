import type { Change, ChangeState, Made } from '../../core/changes';
import { MOST_CHANGES } from '../../contract/changes';
import type { ChangeCarries, ChangeFigures } from '../../contract/changes';
import type { Query } from '../connection';

export interface ChangeRow {
  id: number;
  change: Change;
  key: string;
  state: ChangeState;
  afterId: number | null;
  undoesId: number | null;
  reason: string;
  figures: ChangeFigures;
  listId: number | null;
  effectSpend: number;
  effectSales: number;
  baleId: number | null;
  answerCode: string | null;
  answer: string | null;
  madeTargetId: number | null;
  madeNegativeId: number | null;
  madeScheduleId: number | null;
  stagedAt: string;
  /** Who staged it. */
  by: string;
  answeredAt: string | null;
  /** Whether another change that is not refused or withdrawn undoes this one. */
  undone: boolean;
}

/** Which changes are asked for. */
export interface ChangesAsked {
  state?: ChangeState;
  baleId?: number;
  ids?: number[];
}

/** Changes as they were written down, oldest first. */
export async function listChangeRows(
  sql: Query,
  accountId: number,
  only: ChangesAsked,
  most = MOST_CHANGES,
): Promise<ChangeRow[]> {
  return sql<ChangeRow[]>`
    select c.change_id as id, c.change, c.change_key as key, c.state, c.after_change_id as "afterId",
      c.undoes_change_id as "undoesId", c.reason, c.figures, c.list_id as "listId", c.effect_spend as "effectSpend",
      c.effect_sales as "effectSales", c.bale_id as "baleId", c.answer_code as "answerCode", c.answer,
      c.made_target_id as "madeTargetId", c.made_negative_id as "madeNegativeId", c.made_schedule_id as "madeScheduleId", c.staged_at as "stagedAt", c.by_caller as by, c.answered_at as "answeredAt",
      c.change_id in (
        -- Looked up once, not for each change: a database that was told of thousands just now takes them for few.
        select u.undoes_change_id from mowing.change u
        where u.account_id = ${accountId} and u.undoes_change_id is not null and u.state in ('staged', 'sending', 'accepted')
      ) as undone
    from mowing.change c where c.account_id = ${accountId}
    ${only.state ? sql`and c.state = ${only.state}` : sql``}
    ${only.baleId ? sql`and c.bale_id = ${only.baleId}` : sql``}
    ${only.ids ? sql`and c.change_id = any(${only.ids}::bigint[])` : sql``}
    order by c.change_id limit ${most}`;
}

export interface ChangeToStage {
  change: Change;
  key: string;
  /** Staged again it takes the new value. */
  isReplaced: boolean;
  carries: ChangeCarries;
  reason: string;
  figures: ChangeFigures;
  effect: { spend: number; sales: number };
  afterId: number | null;
  undoesId: number | null;
}

/**
 * Stages changes in one go, unless the same thing is staged or under way already: then that one's id, `isNew` false. A staged
 * change that sets something to a value takes the new value instead. In the order given; of equal keys the later ones see the first.
 */
export async function insertChanges(
  sql: Query,
  accountId: number,
  list: readonly ChangeToStage[],
): Promise<{ id: number; isNew: boolean }[]> {
  const first = new Map<string, number>();
  const again: number[] = [];
  list.forEach(({ key }, at) => (first.has(key) ? again.push(at) : first.set(key, at)));
  const staged = new Array<{ id: number; isNew: boolean }>(list.length);
  const wanted = [...first.values()];
  const found = await insertDistinct(
    sql,
    accountId,
    wanted.map((at) => list[at]),
  );
  wanted.forEach((at, n) => (staged[at] = found[n]));
  // One statement cannot touch a row twice.
  if (again.length > 0) {
    const rest = await insertChanges(
      sql,
      accountId,
      again.map((at) => list[at]),
    );
    again.forEach((at, n) => (staged[at] = rest[n]));
  }
  return staged;
}

async function insertDistinct(
  sql: Query,
  accountId: number,
  list: readonly ChangeToStage[],
): Promise<{ id: number; isNew: boolean }[]> {
  const rows = list.map(({ change, key, carries, effect, ...rest }, place) => ({
    ...rest,
    place,
    change,
    key,
    kind: change.kind,
    spend: effect.spend,
    sales: effect.sales,
    listId: carries.listId ?? null,
  }));
  const made = await sql<{ id: number; key: string }[]>`
    with n as materialized (
      select * from jsonb_to_recordset(${JSON.stringify(rows)}::text::jsonb) as r(place integer, kind text, change jsonb, key text,
        "isReplaced" boolean, "afterId" bigint, "undoesId" bigint, reason text, figures jsonb, spend bigint, sales bigint,
        "listId" integer))
    insert into mowing.change as c (account_id, kind, change, change_key, after_change_id, undoes_change_id, reason, figures,
      effect_spend, effect_sales, list_id)
    select ${accountId}, n.kind, n.change, n.key, n."afterId", n."undoesId", n.reason, n.figures, n.spend, n.sales, n."listId"
    from n order by n.place
    on conflict (account_id, change_key) where state in ('staged', 'sending') do update
      set change = excluded.change, reason = excluded.reason, figures = excluded.figures, effect_spend = excluded.effect_spend,
          effect_sales = excluded.effect_sales, list_id = excluded.list_id
      where c.state = 'staged' and (select n."isReplaced" from n where n.key = c.change_key)
    returning c.change_id as id, c.change_key as key`;
  const ids = new Map(made.map(({ id, key }) => [key, id]));
  const missing = list.filter(({ key }) => !ids.has(key)).map(({ key }) => key);
  const pending =
    missing.length === 0
      ? []
      : await sql<{ id: number; key: string }[]>`
          select change_id as id, change_key as key from mowing.change
          where account_id = ${accountId} and change_key = any(${missing}) and state in ('staged', 'sending')`;
  const there = new Map(pending.map(({ id, key }) => [key, id]));
  // Answered between the two questions: then the way is free now.
  const free = list.filter(({ key }) => !ids.has(key) && !there.has(key));
  const rest = free.length === 0 ? [] : await insertDistinct(sql, accountId, free);
  const later = new Map(free.map(({ key }, at) => [key, rest[at]]));
  return list.map(({ key }) => {
    const id = ids.get(key);
    if (id !== undefined) return { id, isNew: true };
    const known = there.get(key);
    return known === undefined ? later.get(key)! : { id: known, isNew: false };
  });
}

/** Takes staged changes, and those that wait for them, out of the tray. @returns ids of all that were withdrawn */
export async function withdrawChanges(sql: Query, accountId: number, ids: number[]): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    with recursive gone as (
      select change_id from mowing.change
      where account_id = ${accountId} and state = 'staged' and change_id = any(${ids}::bigint[])
      union
      select c.change_id from mowing.change c join gone g on c.after_change_id = g.change_id
      where c.account_id = ${accountId} and c.state = 'staged')
    update mowing.change c set state = 'withdrawn', answered_at = now() from gone g
    where c.account_id = ${accountId} and c.change_id = g.change_id
    returning c.change_id as id`;
  return rows.map((row) => row.id);
}

/** Puts another value into a staged change, with what that is expected to do. @returns false when it is not staged any more */
export async function rewriteStaged(
  sql: Query,
  accountId: number,
  id: number,
  change: Change,
  effect: { spend: number; sales: number },
): Promise<boolean> {
  const rows = await sql`
    update mowing.change set change = ${sql.json(change as never)}, effect_spend = ${Math.round(effect.spend)},
      effect_sales = ${Math.round(effect.sales)}
    where account_id = ${accountId} and change_id = ${id} and state = 'staged' returning 1`;
  return rows.length > 0;
}

/** Changes that undo some others and were not refused or taken out. */
export async function listUndoing(sql: Query, accountId: number, ids: number[]): Promise<number[]> {
  const rows = await sql<{ id: number }[]>`
    select change_id as id from mowing.change
    where account_id = ${accountId} and undoes_change_id = any(${ids}::bigint[]) and state in ('staged', 'sending', 'accepted')
    order by 1`;
  return rows.map(({ id }) => id);
}

/** Marks a change as answered by the market. */
export async function answerChange(
  sql: Query,
  accountId: number,
  id: number,
  answer: {
    accepted: boolean;
    code: string | null;
    sentence: string | null;
  } & Made,
): Promise<void> {
  await sql`
    update mowing.change set state = ${answer.accepted ? 'accepted' : 'refused'}, answer_code = ${answer.code},
      answer = ${answer.sentence}, made_target_id = ${answer.targetId}, made_negative_id = ${answer.negativeId},
      made_schedule_id = ${answer.scheduleId}, answered_at = now(),
      answered_on = coalesce(
        (select b.carried_on from mowing.bale b where b.account_id = ${accountId} and b.bale_id = mowing.change.bale_id),
        (select market_day from mowing.account where account_id = ${accountId}), current_date)
    where account_id = ${accountId} and change_id = ${id} and state = 'sending'`;
}

/** A mark of what is staged: another one whenever something was staged, taken out or given another value. */
export async function markTray(sql: Query, accountId: number): Promise<string> {
  const [{ mark }] = await sql<{ mark: string }[]>`
    select count(*) || ' ' || coalesce(sum(hashtext(change_id || change::text)::bigint), 0) as mark
    from mowing.change where account_id = ${accountId} and state = 'staged'`;
  return mark;
}

/** How many changes lie in the tray, and how many are under way. */
export async function countPending(
  sql: Query,
  accountId: number,
): Promise<{ staged: number; sending: number }> {
  const [counts] = await sql<{ staged: number; sending: number }[]>`
    select count(*) filter (where state = 'staged')::integer as staged, count(*) filter (where state = 'sending')::integer as sending
    from mowing.change where account_id = ${accountId} and state in ('staged', 'sending')`;
  return counts;
}
