import type { Change, ChangeState } from '../../core/changes';
import type { BaleInfo } from '../../contract/changes';
import type { Query } from '../connection';
import { isGone } from './programs';

export interface BaleRow {
  id: number;
  accountId: number;
  key: string;
  state: 'sending' | 'awaiting' | 'done';
}

/** A change of a bale to be, and what it waits for. */
export interface StagedRow {
  id: number;
  afterId: number | null;
  afterState: ChangeState | null;
}

/** Those of `ids` that are staged, for this transaction alone; oldest first. */
export async function lockStaged(sql: Query, accountId: number, ids: number[]): Promise<StagedRow[]> {
  return sql<StagedRow[]>`
    select c.change_id as id, c.after_change_id as "afterId", p.state as "afterState"
    from mowing.change c
    left join mowing.change p on p.account_id = c.account_id and p.change_id = c.after_change_id
    where c.account_id = ${accountId} and c.change_id = any(${ids}::bigint[]) and c.state = 'staged'
    order by c.change_id for update of c`;
}

/**
 * Makes a bale of changes that are staged.
 * @param ids see `lockStaged`
 * @param carriedOn the day on which they were carried out by hand; null: they are sent
 */
export async function insertBale(
  sql: Query,
  accountId: number,
  ids: number[],
  key: string,
  carriedOn: string | null = null,
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.bale (account_id, idempotency_key, state, carried_on)
    values (${accountId}, ${key}, ${carriedOn === null ? 'sending' : 'awaiting'}, ${carriedOn}) returning bale_id as id`;
  await sql`
    update mowing.change set state = 'sending', bale_id = ${id}
    where account_id = ${accountId} and change_id = any(${ids}::bigint[])`;
  return id;
}

/** Makes a program the one that delivers a bale under way. @returns false when another one is at it, or it is done */
export async function claimBale(
  sql: Query,
  accountId: number,
  id: number,
  program: number,
): Promise<boolean> {
  const { count } = await sql`
    update mowing.bale set program_no = ${program}
    where account_id = ${accountId} and bale_id = ${id} and state = 'sending'
      and (program_no = ${program} or ${isGone(sql, 'program_no')})`;
  return count > 0;
}

/** A bale that this program delivers, for this transaction alone; undefined when another one has it by now. */
export async function lockClaimed(
  sql: Query,
  accountId: number,
  id: number,
  program: number,
): Promise<BaleRow | undefined> {
  const rows = await sql<BaleRow[]>`
    select bale_id as id, account_id as "accountId", idempotency_key as key, state from mowing.bale
    where account_id = ${accountId} and bale_id = ${id} and state = 'sending' and program_no = ${program} for update`;
  return rows[0];
}

export async function finishBale(sql: Query, accountId: number, id: number): Promise<void> {
  await sql`update mowing.bale set state = 'done', trouble = '', finished_at = now() where account_id = ${accountId} and bale_id = ${id}`;
}

/** The oldest first: bales of an account that wait to be borne out by an import. */
export async function listAwaitingBales(
  sql: Query,
  accountId: number,
): Promise<{ id: number; carriedOn: string }[]> {
  return sql<{ id: number; carriedOn: string }[]>`
    select bale_id as id, carried_on as "carriedOn" from mowing.bale
    where account_id = ${accountId} and state = 'awaiting' order by bale_id for update`;
}

/** Puts what is still open of a bale back into the tray. @param only these of it @returns how many changes */
export async function backToTray(
  sql: Query,
  accountId: number,
  baleId: number,
  only: number[] | null = null,
): Promise<number> {
  const rows = await sql`
    update mowing.change set state = 'staged', bale_id = null
    where account_id = ${accountId} and bale_id = ${baleId} and state = 'sending'
      ${only === null ? sql`` : sql`and change_id = any(${only}::bigint[])`}`;
  return rows.count;
}

/** Keeps why a bale could not be delivered; it is anybody's from then on. */
export async function noteTrouble(sql: Query, accountId: number, id: number, trouble: string): Promise<void> {
  await sql`update mowing.bale set trouble = ${trouble}, tries = tries + 1, program_no = null where account_id = ${accountId} and bale_id = ${id}`;
}

/** Bales that are under way and that no other program delivers, of all accounts, oldest first. */
export async function listSendingBales(
  sql: Query,
  program: number,
): Promise<{ id: number; accountId: number }[]> {
  return sql<{ id: number; accountId: number }[]>`
    select bale_id as id, account_id as "accountId" from mowing.bale
    where state = 'sending' and (program_no = ${program} or ${isGone(sql, 'program_no')}) order by bale_id`;
}

/** The changes of a bale that have no answer yet, oldest first. */
export async function listUnanswered(sql: Query, accountId: number, baleId: number) {
  return sql<
    {
      id: number;
      change: Change;
      listId: number | null;
      afterId: number | null;
      afterState: ChangeState | null;
    }[]
  >`
    select c.change_id as id, c.change, c.list_id as "listId", c.after_change_id as "afterId", p.state as "afterState"
    from mowing.change c
    left join mowing.change p on p.account_id = c.account_id and p.change_id = c.after_change_id
    where c.account_id = ${accountId} and c.bale_id = ${baleId} and c.state = 'sending' order by c.change_id`;
}

/** An account's bales, newest first. */
export async function listBales(sql: Query, accountId: number, most = 200): Promise<BaleInfo[]> {
  return sql<BaleInfo[]>`
    select b.bale_id as id, b.state, b.trouble, b.tries, b.sent_at as "sentAt", b.by_caller as by, b.finished_at as "finishedAt",
      min(c.answered_on) as "marketDay", b.carried_on as "carriedOn",
      count(c.*) as changes, count(*) filter (where c.state = 'accepted') as accepted,
      count(*) filter (where c.state = 'refused') as refused
    from mowing.bale b left join mowing.change c on c.account_id = b.account_id and c.bale_id = b.bale_id
    where b.account_id = ${accountId}
    group by b.account_id, b.bale_id order by b.bale_id desc limit ${most}`;
}
