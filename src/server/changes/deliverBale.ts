import { NOTHING_MADE, partWaiting } from '../../core/changes';
import type { MarketAnswer } from '../../contract/market';
import { MowingError } from '../../contract/mowingError';
import type { Transaction } from '../../db/connection';
import { findAccount, raiseRevision } from '../../db/queries/accounts';
import {
  backToTray,
  claimBale,
  finishBale,
  listUnanswered,
  lockClaimed,
  noteTrouble,
} from '../../db/queries/bales';
import type { BaleRow } from '../../db/queries/bales';
import { answerChange } from '../../db/queries/changes';
import { dropDrafts } from '../../db/queries/drafts';
import { closeLot, findOpenLot, insertLot } from '../../db/queries/lots';
import type { Lot } from '../../db/queries/lots';
import { db, log, programNo } from '../context/context';
import { market } from '../market/market';
import { refusal, takeAccepted } from './takeAccepted';
import type { Answered } from './takeAccepted';
import { toMarketChanges } from './toMarketChanges';

/** Changes that are handed to the market at once: the answers of each lot are kept before the next, so that it is seen how far it is. */
const LOT = 200;

/** Bales that this program delivers now: two tries of one never overlap. */
const underWay = new Set<string>();

/** The bale has been taken over by another program, or its account was removed. */
class NotMine extends Error {}

/**
 * Delivers one bale, lot by lot: a change that waits for another one goes only after that was accepted. Each lot is written down with
 * its key, then the market is asked, then its answers are written down: no transaction waits for the market.
 * @param onAnswers called after each lot
 * @returns why it could not be delivered to its end, empty when it was (or somebody else is at it)
 */
export async function deliverBale(
  accountId: number,
  baleId: number,
  onAnswers: () => void = () => {},
): Promise<string> {
  const name = `${accountId} ${baleId}`;
  if (underWay.has(name)) return '';
  underWay.add(name);
  try {
    const program = await programNo();
    if (!(await claimBale(db(), accountId, baleId, program))) return '';
    return await deliverClaimed(accountId, baleId, program, onAnswers);
  } finally {
    underWay.delete(name);
  }
}

async function deliverClaimed(
  accountId: number,
  baleId: number,
  program: number,
  onAnswers: () => void,
): Promise<string> {
  /** One transaction on the bale, as long as it is this program's. */
  const onBale = <T>(work: (tx: Transaction, bale: BaleRow) => Promise<T>) =>
    db().begin(async (tx) => {
      const bale = await lockClaimed(tx, accountId, baleId, program);
      if (!bale) throw new NotMine();
      return work(tx, bale);
    }) as Promise<T>;
  try {
    const { marketId } = (await findAccount(db(), accountId)) ?? {};
    for (;;) {
      const lot = await onBale(openLot);
      if (lot === null) break;
      const answers = await ask(marketId!, lot);
      await onBale((tx, bale) => takeAnswers(tx, bale, lot, answers));
      onAnswers();
    }
    await onBale(endBale);
    return '';
  } catch (error) {
    if (error instanceof NotMine) return '';
    if (!(error instanceof MowingError)) log().error({ err: error, baleId }, 'delivering a bale failed');
    const trouble =
      error instanceof MowingError
        ? error.message
        : 'Mowing could not note the answer; it will ask the market again with the same key.';
    await noteTrouble(db(), accountId, baleId, trouble);
    return trouble;
  }
}

/** The lot that has no answer yet, or the next one, written down; null when nothing is left that can go. */
async function openLot(tx: Transaction, { id: baleId, accountId, key }: BaleRow): Promise<Lot | null> {
  const open = await findOpenLot(tx, accountId, baleId);
  if (open) return open;
  for (;;) {
    const ready = (await listUnanswered(tx, accountId, baleId))
      .filter(({ afterId, afterState }) => afterId === null || afterState === 'accepted')
      .slice(0, LOT);
    if (ready.length === 0) return null;
    const { changes, unknown } = await toMarketChanges(tx, accountId, ready);
    for (const { id } of unknown) await answerChange(tx, accountId, id, UNKNOWN);
    if (changes.length > 0)
      return insertLot(tx, accountId, baleId, { key: `${key}-${ready[0].id}`, asked: changes });
  }
}

const UNKNOWN = refusal(
  'unknown-to-market',
  'The market does not know the campaign, ad group or target: it came from a file. Nothing was sent for this change.',
);

/** A batch that the market refuses as a whole is refused change by change: asking again would not help. */
async function ask(account: string, { key, asked }: Lot): Promise<MarketAnswer[]> {
  try {
    return await market().sendChanges(account, key, asked);
  } catch (error) {
    if (!(error instanceof MowingError) || error.code !== 'market-refused') throw error;
    const told = { accepted: false, code: 'batch-refused', sentence: error.message, id: null };
    return asked.map(({ ref }) => ({ ref, ...told }));
  }
}

async function takeAnswers(
  tx: Transaction,
  { id: baleId, accountId }: BaleRow,
  lot: Lot,
  answers: MarketAnswer[],
): Promise<void> {
  const open = new Map((await listUnanswered(tx, accountId, baleId)).map((one) => [String(one.id), one]));
  const told = new Map(answers.map((answer) => [answer.ref, answer]));
  for (const { ref } of lot.asked) {
    const one = open.get(ref);
    if (!one) continue;
    const answer = told.get(ref);
    if (answer) await takeAnswer(tx, accountId, one, answer);
    else await answerChange(tx, accountId, one.id, UNSAID);
  }
  await closeLot(tx, accountId, baleId, lot.no);
}

const UNSAID = refusal(
  'no-answer',
  'The market answered the others of this lot and said nothing of this change. The next sync shows whether it was carried out; look there before it is sent again.',
);

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
      return NOTHING_MADE;
    });
  await answerChange(tx, accountId, one.id, { accepted: true, code: null, sentence: null, ...made });
}

async function endBale(tx: Transaction, { id: baleId, accountId }: BaleRow): Promise<void> {
  const { go, wait } = partWaiting(await listUnanswered(tx, accountId, baleId));
  // What it waits for was refused.
  for (const { id } of go) await answerChange(tx, accountId, id, FIRST_REFUSED);
  await backToTray(
    tx,
    accountId,
    baleId,
    wait.map(({ id }) => id),
  );
  await finishBale(tx, accountId, baleId);
  await raiseRevision(tx, accountId);
  await dropDrafts(tx, accountId);
}

const FIRST_REFUSED = refusal(
  'first-refused',
  'Not sent: the change that has to come first was refused, and without it this one would have no place.',
);
