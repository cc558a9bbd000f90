import type { ChoicesAnswer, ChoicesRequest, PlanChoices } from '../../contract/choices';
import { MowingError } from '../../contract/mowingError';
import type { AccountRow } from '../../db/queries/accounts';
import { insertChoices, takeChoicesBack } from '../../db/queries/planChoices';
import { choicesOf, needAccount } from '../accounts/accounts';
import { db } from '../context/context';

const answer = (account: AccountRow): ChoicesAnswer => ({
  choices: choicesOf(account),
  canTakeBack: account.choices !== null,
});

/** What an account's plans go by. */
export async function loadChoices(accountId: number): Promise<ChoicesAnswer> {
  return answer(await needAccount(accountId));
}

/** Changes some of it. @throws MowingError where the floor of bids would stand above their cap */
export async function changeChoices({ account, bids, terms }: ChoicesRequest): Promise<ChoicesAnswer> {
  const now = choicesOf(await needAccount(account));
  const next: PlanChoices = { bids: { ...now.bids, ...bids }, terms: { ...now.terms, ...terms } };
  const { floor, cap } = next.bids;
  if (floor !== null && cap !== null && floor > cap)
    throw new MowingError('bad-request', 'The floor of bids is above their cap; nothing was changed.');
  await insertChoices(db(), account, next);
  return loadChoices(account);
}

/** Takes the last change back. @throws MowingError when there is none */
export async function takeBackChoices(account: number): Promise<ChoicesAnswer> {
  await needAccount(account);
  if (!(await takeChoicesBack(db(), account)))
    throw new MowingError(
      'conflict',
      'The choices stand as they were at first; there is nothing to take back.',
    );
  return loadChoices(account);
}
