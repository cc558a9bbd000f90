import { addDays } from '../../core/units';
import type { Day } from '../../core/units';
import type { AccountInfo, NewAccount, RevisionAnswer } from '../../contract/api';
import type { Right } from '../../contract/people';
import type { AccountChange } from '../../contract/requests';
import { machineTimeZone } from '../../contract/timeZone';
import { USUAL_PLAN_CHOICES } from '../../contract/choices';
import type { PlanChoices } from '../../contract/choices';
import { MowingError } from '../../contract/mowingError';
import { markTray } from '../../db/queries/changes';
import { findAccount, insertAccount, listAccounts, updateAccount } from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { todayOf } from './today';

/** What an account's plans go by: what was chosen, and for the rest what is usual. */
export const choicesOf = ({ choices }: Pick<AccountRow, 'choices'>): PlanChoices => ({
  bids: { ...USUAL_PLAN_CHOICES.bids, ...choices?.bids },
  terms: { ...USUAL_PLAN_CHOICES.terms, ...choices?.terms },
  money: { ...USUAL_PLAN_CHOICES.money, ...choices?.money },
  guides: { ...USUAL_PLAN_CHOICES.guides, ...choices?.guides },
});

/** What the pages may know of an account. @param rights of whoever asks; left out where nobody is told */
export function accountInfo(row: AccountRow, rights: readonly Right[] = ['see']): AccountInfo {
  const { id, name, currency, targetAcos, firstDay, lastDay } = row;
  return {
    id,
    name,
    currency,
    rights,
    targetAcos,
    timezone: row.timeZone,
    revision: row.revision,
    connected: row.marketId !== null,
    today: todayOf(row),
    firstDay,
    lastDay,
    sums: row.sums,
    limits: row.limits,
    options: row.options,
    funds: row.funds,
    choices: choicesOf(row),
  };
}

/** The accounts that somebody may see, with what she may do on each. */
export async function loadAccounts(
  rightsOn: (id: number) => readonly Right[] | null,
): Promise<AccountInfo[]> {
  return (await listAccounts(db())).flatMap((row) => {
    const rights = rightsOn(row.id);
    return rights === null ? [] : [accountInfo(row, rights)];
  });
}

/** What is said of an account that is not there, and of one that is not the caller's to see. */
export const noSuchAccount = (id: number) =>
  new MowingError('not-found', `There is no account ${id}. GET /api/accounts lists them.`);

/**
 * An account, or how it stood on a day that is past: that day is its present one, and its figures end before it.
 * @throws MowingError when there is no account with this id
 */
export async function needAccount(id: number, on?: Day): Promise<AccountRow> {
  const row = await findAccount(db(), id);
  if (!row) throw noSuchAccount(id);
  if (on === undefined) return row;
  const eve = addDays(on, -1);
  return { ...row, marketDay: on, lastDay: row.lastDay !== null && row.lastDay < eve ? row.lastDay : eve };
}

/** The newest state of an account's figures and entities, and a mark that is another one when its tray is. */
export async function loadRevision(id: number): Promise<RevisionAnswer> {
  const [{ revision }, tray] = await Promise.all([needAccount(id), markTray(db(), id)]);
  return { revision, tray };
}

/** Makes an empty account. @throws MowingError for an unknown currency */
export async function createAccount(caller: Caller, account: NewAccount): Promise<AccountInfo> {
  if (!Intl.supportedValuesOf('currency').includes(account.currency))
    throw new MowingError(
      'bad-request',
      `“${account.currency}” is no currency; write its three letters, for instance EUR.`,
    );
  const { timezone = machineTimeZone() } = account;
  const id = await recorded(
    caller,
    (made: number) => made,
    async (tx, note) => {
      note({ what: 'make account', to: { ...account, timezone } });
      return insertAccount(tx, { ...account, timeZone: timezone });
    },
  );
  return accountInfo(await needAccount(id), caller.rights);
}

export async function changeAccount(caller: Caller, id: number, set: AccountChange): Promise<AccountInfo> {
  const { name, targetAcos, timeZone } = await needAccount(id);
  await recorded(caller, id, async (tx, note) => {
    await updateAccount(tx, id, { ...set, timeZone: set.timezone });
    note({ what: 'change account', from: { name, targetAcos, timezone: timeZone }, to: set });
  });
  return accountInfo(await needAccount(id), caller.rights);
}
