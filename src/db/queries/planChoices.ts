import type { PlanChoices } from '../../contract/choices';
import type { Query } from '../connection';

/** Keeps what an account's plans go by from now on. */
export async function insertChoices(sql: Query, accountId: number, choices: PlanChoices): Promise<void> {
  await sql`insert into mowing.plan_choices (account_id, choices) values (${accountId}, ${sql.json(choices as never)})`;
}

/** Takes the newest choices back: those before count again. @returns whether there were any */
export async function takeChoicesBack(sql: Query, accountId: number): Promise<boolean> {
  const { count } = await sql`
    update mowing.plan_choices set taken_back = true where account_id = ${accountId} and choice_id =
      (select max(choice_id) from mowing.plan_choices where account_id = ${accountId} and not taken_back)`;
  return count > 0;
}
