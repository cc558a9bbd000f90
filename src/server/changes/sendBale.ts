import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { partWaiting } from '../../core/changes';
import { formatCount } from '../../core/units';
import type { SendResult } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { findAccount } from '../../db/queries/accounts';
import { insertBale, listSendingBales, lockStaged } from '../../db/queries/bales';
import { db, programNo } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { deliverBale } from './deliverBale';

/** Whoever sends waits no longer than so for a sign of the market; the bale goes on by itself. */
const MOST_PATIENCE_MS = 10_000;

/**
 * Sends staged changes as one bale. The bale is written down before the market is asked: whatever happens then,
 * it is delivered later with the same keys, and never twice. What waits for a change that is not among them stays in the tray.
 * @throws MowingError 'conflict' when none of the changes is staged any more (a second click), all wait, or the account has no market
 */
export async function sendBale(caller: Caller, accountId: number, changeIds: number[]): Promise<SendResult> {
  const account = await findAccount(db(), accountId);
  if (!account) throw new MowingError('not-found', `There is no account ${accountId}.`);
  if (account.marketId === null)
    throw new MowingError(
      'conflict',
      `${account.name} is fed by files and has no market to send to. Take the change file, carry it out by hand, and say so with “Carried out”; the changes stay in the tray.`,
    );
  const { baleId, waiting } = await recorded(caller, accountId, async (tx, note) => {
    const { go, wait } = partWaiting(await lockStaged(tx, accountId, changeIds));
    if (go.length === 0) throw new MowingError('conflict', wait.length > 0 ? ALL_WAIT : NOT_STAGED);
    const id = await insertBale(
      tx,
      accountId,
      go.map((one) => one.id),
      randomUUID(),
    );
    note({ what: 'send', subject: `bale ${id}`, to: { changes: go.length } });
    return { baleId: id, waiting: wait.length };
  });
  return { baleId, waiting, trouble: await patiently(accountId, baleId) };
}

const NOT_STAGED = 'These changes were sent or withdrawn already. The ledger shows what became of them.';
const ALL_WAIT =
  'These changes wait for others that are in the tray or have no answer yet. Send those first, or all together; nothing was sent.';

/** Delivers a bale for somebody who waits. @returns why it is not answered yet; empty when it is */
export async function patiently(accountId: number, baleId: number): Promise<string> {
  let heardAt = Date.now();
  const delivered = deliverBale(accountId, baleId, () => (heardAt = Date.now()));
  delivered.catch(() => {}); // told to whoever still waits
  const silence = async () => {
    while (Date.now() - heardAt < MOST_PATIENCE_MS) await sleep(250, undefined, { ref: false });
    return `The market has not answered for ${formatCount(MOST_PATIENCE_MS / 1000)} s. Nothing is lost: Mowing keeps asking, and the ledger shows each answer as it comes.`;
  };
  return Promise.race([delivered, silence()]);
}

/** Accounts whose bales are delivered beside one another: a market that hangs for one keeps none of the others waiting. */
const ACCOUNTS_AT_ONCE = 4;

/** Delivers all bales that are under way and that nobody delivers; called at the start and every few seconds. */
export async function resumeBales(): Promise<void> {
  const bales = await listSendingBales(db(), await programNo());
  const accounts = [...new Set(bales.map(({ accountId }) => accountId))];
  const lane = async () => {
    for (let account = accounts.shift(); account !== undefined; account = accounts.shift())
      for (const bale of bales) if (bale.accountId === account) await deliverBale(account, bale.id);
  };
  await Promise.all(Array.from({ length: ACCOUNTS_AT_ONCE }, lane));
}
