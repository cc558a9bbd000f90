import { randomUUID } from 'node:crypto';
import type { MarketAnswer, MarketChange } from '../../contract/market';
import { MowingError } from '../../contract/mowingError';
import type { Query, Transaction } from '../../db/connection';
import { findAccount, raiseRevision } from '../../db/queries/accounts';
import {
  finishBale,
  insertBale,
  listSendingBales,
  listUnanswered,
  lockBale,
  noteTrouble,
} from '../../db/queries/bales';
import { dropDrafts } from '../../db/queries/drafts';
import { answerChange } from '../../db/queries/changes';
import { db, log } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { market } from '../market/market';
import { refusal, takeAccepted } from './takeAccepted';
import type { Answered } from './takeAccepted';
import { toMarketChanges } from './toMarketChanges';

/** A bale that cannot be delivered is tried again by itself. */
export interface SendResult {
  baleId: number;
  /** Empty when every change has its answer. */
  trouble: string;
}

/**
 * Sends staged changes as one bale. The bale is written down before the market is asked: whatever happens then,
 * it is delivered later with the same key, and never twice.
 * @throws MowingError 'conflict' when none of the changes is staged any more (a second click), or the account has no market
 */
export async function sendBale(caller: Caller, accountId: number, changeIds: number[]): Promise<SendResult> {
  const account = await findAccount(db(), accountId);
  if (!account) throw new MowingError('not-found', `There is no account ${accountId}.`);
  if (account.marketId === null)
    throw new MowingError(
      'conflict',
      `${account.name} is fed by files and has no market to send to. Take the change file, carry it out by hand, and say so with “Carried out”; the changes stay in the tray.`,
    );
  const baleId = await recorded(caller, accountId, async (tx, note) => {
    const id = await insertBale(tx, accountId, changeIds, randomUUID());
    if (id !== null) note({ what: 'send', subject: `bale ${id}`, to: { changes: changeIds.length } });
    return id;
  });
  if (baleId === null)
    throw new MowingError(
      'conflict',
      'These changes were sent or withdrawn already. The ledger shows what became of them.',
    );
  return { baleId, trouble: await deliverBale(accountId, baleId) };
}

/** Delivers all bales that are under way; called at the start and every few seconds. */
export async function resumeBales(): Promise<void> {
  for (const { id, accountId } of await listSendingBales(db())) await deliverBale(accountId, id);
}

/** Changes that are handed to the market at once: the answers of each lot are kept before the next, so that it is seen how far it is. */
const LOT = 200;

/**
 * Delivers one bale, lot by lot: a change that waits for another one goes only after that was accepted.
 * @returns why it could not be delivered to its end, empty when it was (or another process is at it)
 */
export async function deliverBale(accountId: number, baleId: number): Promise<string> {
  try {
    for (;;) {
      const outcome = await db().begin((tx) => deliverLot(tx, accountId, baleId));
      if (outcome === 'not mine') return '';
      if (outcome === 'done') break;
    }
    await db().begin((tx) => endBale(tx, accountId, baleId));
    return '';
  } catch (error) {
    if (!(error instanceof MowingError)) log().error({ err: error, baleId }, 'delivering a bale failed');
    const trouble =
      error instanceof MowingError
        ? error.message
        : 'Mowing could not note the answer; it will ask the market again with the same key.';
    await noteTrouble(db(), accountId, baleId, trouble);
    return trouble;
  }
}

async function deliverLot(
  tx: Transaction,
  accountId: number,
  baleId: number,
): Promise<'not mine' | 'more' | 'done'> {
  const bale = await lockBale(tx, accountId, baleId);
  if (!bale) return 'not mine';
  const unanswered = await listUnanswered(tx, accountId, baleId);
  const ready = unanswered
    .filter(({ afterId, afterState }) => afterId === null || afterState === 'accepted')
    .slice(0, LOT);
  if (ready.length === 0) return 'done';
  const { changes, unknown } = await toMarketChanges(tx, accountId, ready);
  for (const { id } of unknown)
    await answerChange(
      tx,
      accountId,
      id,
      refusal(
        'unknown-to-market',
        'The market does not know the campaign, ad group or target: it came from a file. Nothing was sent for this change.',
      ),
    );
  if (changes.length === 0) return 'more';
  const account = (await findAccount(tx, accountId))!;
  // A lot that is asked again after a failure begins with the same change, and so has the same key.
  const answers = await ask(account.marketId!, `${bale.key}-${ready[0].id}`, changes);
  const byRef = new Map(ready.map((one) => [String(one.id), one]));
  let taken = 0;
  for (const answer of answers) {
    const one = byRef.get(answer.ref);
    if (!one) continue;
    await takeAnswer(tx, accountId, one, answer);
    taken += 1;
  }
  // Without an answer to any of them the next lot would be the same one.
  return taken > 0 ? 'more' : 'done';
}

/** A batch that the market refuses as a whole is refused change by change: asking again would not help. */
async function ask(account: string, key: string, changes: MarketChange[]): Promise<MarketAnswer[]> {
  try {
    return await market().sendChanges(account, key, changes);
  } catch (error) {
    if (!(error instanceof MowingError) || error.code !== 'market-refused') throw error;
    return changes.map(({ ref }) => ({
      ref,
      accepted: false,
      code: 'batch-refused',
      sentence: error.message,
      id: null,
    }));
  }
}

async function takeAnswer(tx: Transaction, accountId: number, one: Answered, answer: MarketAnswer) {
  const { id, accepted } = answer;
  if (!accepted || id === null)
    return answerChange(
      tx,
      accountId,
      one.id,
      refusal(answer.code ?? 'refused', answer.sentence ?? 'The market gave no reason.'),
    );
  const made = await tx
    .savepoint((inner) => takeAccepted(inner, accountId, one, id))
    .catch((error: unknown) => {
      // The market has carried it out: that stands, whatever our copy makes of it. Asked again it would be answered alike, for ever.
      log().error(
        { err: error, change: one.id },
        'an accepted change could not be copied; the next sync brings it',
      );
      return { targetId: null, negativeId: null };
    });
  await answerChange(tx, accountId, one.id, { accepted: true, code: null, sentence: null, ...made });
}

async function endBale(tx: Query, accountId: number, baleId: number) {
  if (!(await lockBale(tx, accountId, baleId))) return;
  // What still waits, waits for a change that was refused.
  for (const { id } of await listUnanswered(tx, accountId, baleId))
    await answerChange(
      tx,
      accountId,
      id,
      refusal(
        'first-refused',
        'Not sent: the change that has to come first was refused, and without it this one would have no place.',
      ),
    );
  await finishBale(tx, accountId, baleId);
  await raiseRevision(tx, accountId);
  await dropDrafts(tx, accountId);
}
