import { setTimeout as sleep } from 'node:timers/promises';
import { addDays, dayNumber, formatFullDay } from '../../../core/units';
import { MowingError } from '../../../contract/mowingError';
import { findAccount } from '../../../db/queries/accounts';
import { db } from '../../context/context';
import { market } from '../../market/market';
import type { JobAt, JobKind } from '../kind';
import { nextSwitchOf } from '../../trials/tendTrials';
import { runNight } from '../../standing/runNight';
import { nextNightOf } from '../../standing/rules';
import { askToTell } from './hook';
import { askForReports } from './report';
import { askForNight } from './standing';
import { bringUpToDate } from './sync';

interface Input {
  days: number;
  /** The market's day that is to come; kept, so that a second try does not let more pass. */
  until?: string;
}

const POLL_MS = 300;

/** Lets days pass on a simulated market, and takes over what happened. */
export const advance: JobKind<Input> = {
  name: 'advance',
  tries: 6,
  firstPauseS: 3,
  dailyAt: null,
  run: async (at) => {
    const { accountId, input, keepInput } = at;
    const account = (await findAccount(db(), accountId))!;
    if (account.marketId === null)
      throw new MowingError('conflict', `${account.name} is fed by files; no days can pass.`);
    const { days } = input;
    const { today } = await market().clock(account.marketId);
    const until = input.until ?? addDays(today, days);
    if (input.until === undefined) await keepInput({ ...input, until });
    const told = await passInSpans(account.marketId, until, at);
    return `${days} ${days === 1 ? 'day' : 'days'} passed. ${told}`;
  },
};

/** Days that do not move on for so long are given up, to be tried again. */
const STILL_AFTER_MS = 5 * 60_000;

/** Stops on every day on which a trial switches or a rule works, as it would if the days passed by themselves. @returns what the last sync came to */
async function passInSpans(marketId: string, until: string, at: JobAt<Input>): Promise<string> {
  for (;;) {
    const { today } = await market().clock(marketId);
    const days = [await nextSwitchOf(at.accountId, today), await nextNightOf(at.accountId, today)];
    const to = days.reduce<string>((first, day) => (day !== null && day < first ? day : first), until);
    await pass(marketId, to, at.tell);
    const told = await bringUpToDate(at);
    if (to !== until) {
      await runNight(at.accountId);
      await askToTell(at.accountId);
    } else {
      await askForNight(at.accountId);
      await askForReports(at.accountId);
    }
    if (to === until) return told;
  }
}

async function pass(marketId: string, until: string, tell: JobAt<Input>['tell']) {
  // A trouble that the market told of before this try asked is over: days are asked for anew.
  let hasAsked = false;
  let movedAt = Date.now();
  let lastDay = '';
  for (;;) {
    const { today, passing } = await market().clock(marketId);
    const left = dayNumber(until) - dayNumber(today);
    if (left <= 0 && !(passing && passing.done < passing.of)) return;
    if (today !== lastDay) [lastDay, movedAt] = [today, Date.now()];
    else if (Date.now() - movedAt > STILL_AFTER_MS)
      throw new MowingError('market-down', `The market stands still at its ${formatFullDay(today)}.`);
    const isUnderWay = passing !== null && passing.trouble === '' && passing.done < passing.of;
    if (hasAsked && passing && passing.trouble !== '' && passing.done < passing.of)
      throw new MowingError('market-refused', `The market could not let the days pass: ${passing.trouble}`);
    if (!isUnderWay) {
      await market().advance(marketId, left);
      hasAsked = true;
    }
    const of = passing?.of ?? left;
    await tell({
      doing: `letting days pass: ${formatFullDay(today)}`,
      done: Math.max(0, of - left),
      total: of,
    });
    await sleep(POLL_MS);
  }
}
