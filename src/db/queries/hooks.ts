import type { Query } from '../connection';

/** Where the summary of a night is sent to. */
export interface HookRow {
  url: string;
  secret: string;
}

export interface HookState {
  hook: HookRow | null;
  /** The last night that was told, by its id. */
  told: number;
  /** What came of the last try. */
  said: string | null;
}

export async function readHook(sql: Query, accountId: number): Promise<HookState> {
  const [row] = await sql<HookState[]>`
    select night_hook as hook, night_told as told, night_hook_said as said from mowing.account where account_id = ${accountId}`;
  return row;
}

/** Keeps where nights are told; what was before is told no more. */
export async function keepHook(tx: Query, accountId: number, hook: HookRow | null): Promise<void> {
  await tx`
    update mowing.account set night_hook = ${hook === null ? null : tx.json(hook as never)}, night_hook_said = null,
      night_told = (select coalesce(max(night_id), 0) from mowing.rule_night where account_id = ${accountId})
    where account_id = ${accountId}`;
}

export async function keepTold(
  tx: Query,
  accountId: number,
  { told, said }: { told?: number; said: string },
): Promise<void> {
  await tx`
    update mowing.account set night_hook_said = ${said}, night_told = greatest(night_told, ${told ?? 0}) where account_id = ${accountId}`;
}
