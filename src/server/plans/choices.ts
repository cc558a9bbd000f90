import type { ChoicesAnswer, ChoicesRequest, PlanChoices } from '../../contract/choices';
import { MowingError } from '../../contract/mowingError';
import type { AccountRow } from '../../db/queries/accounts';
import { insertChoices, takeChoicesBack } from '../../db/queries/planChoices';
import { choicesOf, needAccount } from '../accounts/accounts';
import { recorded } from '../trail';
import type { Caller } from '../trail';

const answer = (account: AccountRow): ChoicesAnswer => ({
  choices: choicesOf(account),
  canTakeBack: account.choices !== null,
});

/** What an account's plans go by. */
export async function loadChoices(accountId: number): Promise<ChoicesAnswer> {
  return answer(await needAccount(accountId));
}

/** Changes some of it. @throws MowingError where a lower bound would stand above its upper one */
export async function changeChoices(
  caller: Caller,
  { account, bids, terms, money, guides }: ChoicesRequest,
): Promise<ChoicesAnswer> {
  const now = choicesOf(await needAccount(account));
  const next: PlanChoices = {
    bids: { ...now.bids, ...bids },
    terms: { ...now.terms, ...terms },
    money: { ...now.money, ...money },
    guides: { ...now.guides, ...guides },
  };
  const { floor, cap } = next.bids;
  if (floor !== null && cap !== null && floor > cap)
    throw new MowingError('bad-request', 'The floor of bids is above their cap; nothing was changed.');
  if (next.money.means === 'money' && next.money.month === null)
    throw new MowingError('bad-request', 'Say how much may be spent a month; nothing was changed.');
  const { ctrLow, ctrHigh, dailyLow, dailyHigh } = next.guides;
  const crosses = (low: number | null, high: number | null) => low !== null && high !== null && low > high;
  if (crosses(ctrLow, ctrHigh) || crosses(dailyLow, dailyHigh))
    throw new MowingError(
      'bad-request',
      'A guide value for low is above the one for high; nothing was changed.',
    );
  await recorded(caller, account, async (tx, note) => {
    await insertChoices(tx, account, next);
    note({ what: 'change choices', from: now, to: next });
  });
  return loadChoices(account);
}

/** Takes the last change back. @throws MowingError when there is none */
export async function takeBackChoices(caller: Caller, account: number): Promise<ChoicesAnswer> {
  const from = choicesOf(await needAccount(account));
  await recorded(caller, account, async (tx, note) => {
    if (!(await takeChoicesBack(tx, account)))
      throw new MowingError(
        'conflict',
        'The choices stand as they were at first; there is nothing to take back.',
      );
    note({ what: 'take back choices', from });
  });

  return loadChoices(account);
}
