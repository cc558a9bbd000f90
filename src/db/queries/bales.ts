import type { Change } from '../../core/changes';
import type { BaleInfo } from '../../contract/changes';
import type { Query } from '../connection';

export interface BaleRow {
  id: number;
  accountId: number;
  key: string;
  state: 'sending' | 'awaiting' | 'done';
}

/**
 * Makes a bale of the staged changes among `ids`; null when none of them is staged any more.
 * @param carriedOn the day on which they were carried out by hand; null: they are sent
 */
export async function insertBale(
  sql: Query,
  accountId: number,
  ids: number[],
  key: string,
  carriedOn: string | null = null,
): Promise<number | null> {
  const staged = await sql<{ id: number }[]>`
    select change_id as id from mowing.change
    where account_id = ${accountId} and change_id = any(${ids}::bigint[]) and state = 'staged' for update`;
  if (staged.length === 0) return null;
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.bale (account_id, idempotency_key, state, carried_on)
    values (${accountId}, ${key}, ${carriedOn === null ? 'sending' : 'awaiting'}, ${carriedOn}) returning bale_id as id`;
  await sql`
    update mowing.change set state = 'sending', bale_id = ${id}
    where account_id = ${accountId} and change_id = any(${staged.map((row) => row.id)}::bigint[])`;
  return id;
}

/** Takes a bale that is under way for this transaction alone; undefined when another one has it or it is done. */
export async function lockBale(sql: Query, accountId: number, id: number): Promise<BaleRow | undefined> {
  const rows = await sql<BaleRow[]>`
    select bale_id as id, account_id as "accountId", idempotency_key as key, state from mowing.bale
    where account_id = ${accountId} and bale_id = ${id} and state = 'sending' for update skip locked`;
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

/** Puts what is still open of a bale back into the tray. @returns how many changes */
export async function backToTray(sql: Query, accountId: number, baleId: number): Promise<number> {
  const rows = await sql`
    update mowing.change set state = 'staged', bale_id = null
    where account_id = ${accountId} and bale_id = ${baleId} and state = 'sending'`;
  return rows.count;
}

/** Keeps why a bale could not be delivered. */
export async function noteTrouble(sql: Query, accountId: number, id: number, trouble: string): Promise<void> {
  await sql`update mowing.bale set trouble = ${trouble}, tries = tries + 1 where account_id = ${accountId} and bale_id = ${id}`;
}

/** Bales that are under way, of all accounts, oldest first. */
export async function listSendingBales(sql: Query): Promise<{ id: number; accountId: number }[]> {
  return sql<{ id: number; accountId: number }[]>`
    select bale_id as id, account_id as "accountId" from mowing.bale where state = 'sending' order by bale_id`;
}

/** The changes of a bale that have no answer yet, oldest first. */
export async function listUnanswered(sql: Query, accountId: number, baleId: number) {
  return sql<
    {
      id: number;
      change: Change;
      held: number | null;
      listId: number | null;
      afterId: number | null;
      afterState: string | null;
    }[]
  >`
    select c.change_id as id, c.change, c.held, c.list_id as "listId", c.after_change_id as "afterId", p.state as "afterState"
    from mowing.change c
    left join mowing.change p on p.account_id = c.account_id and p.change_id = c.after_change_id
    where c.account_id = ${accountId} and c.bale_id = ${baleId} and c.state = 'sending' order by c.change_id`;
}

/** An account's bales, newest first. */
export async function listBales(sql: Query, accountId: number, most = 200): Promise<BaleInfo[]> {
  return sql<BaleInfo[]>`
    select b.bale_id as id, b.state, b.trouble, b.tries, b.sent_at as "sentAt", b.finished_at as "finishedAt",
      min(c.answered_on) as "marketDay", b.carried_on as "carriedOn",
      count(c.*) as changes, count(*) filter (where c.state = 'accepted') as accepted,
      count(*) filter (where c.state = 'refused') as refused
    from mowing.bale b left join mowing.change c on c.account_id = b.account_id and c.bale_id = b.bale_id
    where b.account_id = ${accountId}
    group by b.account_id, b.bale_id order by b.bale_id desc limit ${most}`;
}
