import { randomUUID } from 'node:crypto';
import type { CarriedOutRequest, Settling } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import type { Transaction } from '../../db/connection';
import { raiseRevision } from '../../db/queries/accounts';
import {
  backToTray,
  finishBale,
  insertBale,
  listAwaitingBales,
  listUnanswered,
  lockStaged,
} from '../../db/queries/bales';
import { answerChange } from '../../db/queries/changes';
import { dropDrafts } from '../../db/queries/drafts';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { takeAccepted } from './takeAccepted';

/**
 * Makes a dated bale of staged changes that somebody carried out by hand: at once, or as the next imports of bids bear it out.
 * @throws MowingError for an account that has a market, a day that has not come, or changes that are not staged any more
 */
export async function carryOut(
  caller: Caller,
  { account: accountId, ids, day, borneOut }: CarriedOutRequest,
): Promise<{ baleId: number }> {
  const account = await needAccount(accountId);
  if (account.marketId !== null)
    throw new MowingError('conflict', `${account.name} is connected to its market: send the changes there.`);
  const today = todayOf(account);
  if (day > today)
    throw new MowingError('bad-request', `The day ${day} has not come yet (today is ${today}).`);
  const baleId = await recorded(caller, accountId, async (tx, note) => {
    const staged = (await lockStaged(tx, accountId, ids)).map(({ id }) => id);
    if (staged.length === 0) return null;
    const id = await insertBale(tx, accountId, staged, randomUUID(), day);
    note({
      what: 'carried out by hand',
      subject: `bale ${id}`,
      to: { changes: staged.length, day, borneOut },
    });
    if (borneOut === 'all') await takeRest(tx, accountId, id);
    return id;
  });
  if (baleId === null)
    throw new MowingError(
      'conflict',
      'These changes are not in the tray any more. The ledger shows what became of them.',
    );
  return { baleId };
}

/** Settles what no import has borne out. @throws MowingError when nothing of the bale is open any more */
export async function settleBale(
  caller: Caller,
  accountId: number,
  baleId: number,
  as: Settling,
): Promise<{ changes: number }> {
  await needAccount(accountId);
  return recorded(caller, accountId, async (tx, note) => {
    const isOpen = (await listAwaitingBales(tx, accountId)).some(({ id }) => id === baleId);
    if (!isOpen) throw new MowingError('conflict', `Nothing of bale ${baleId} is open any more.`);
    const changes =
      as === 'carried-out' ? await takeRest(tx, accountId, baleId) : await backToTray(tx, accountId, baleId);
    await finishBale(tx, accountId, baleId);
    note({ what: `settle as ${as}`, subject: `bale ${baleId}`, to: { changes } });
    return { changes };
  });
}

/** Takes everything open of a bale as carried out. @returns how many changes */
async function takeRest(tx: Transaction, accountId: number, baleId: number): Promise<number> {
  const open = await listUnanswered(tx, accountId, baleId);
  for (const one of open) {
    const made = await takeAccepted(tx, accountId, one, null);
    await answerChange(tx, accountId, one.id, { accepted: true, code: null, sentence: null, ...made });
  }
  await finishBale(tx, accountId, baleId);
  await raiseRevision(tx, accountId);
  await dropDrafts(tx, accountId);
  return open.length;
}
