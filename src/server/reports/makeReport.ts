import type { NewReport, ReportContent } from '../../contract/report';
import { PART_TITLES } from '../../contract/report';
import { MowingError } from '../../contract/mowingError';
import { daysIn, formatFullDay } from '../../core/units';
import { comparedWindow } from '../../core/windows';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { todayOf } from '../accounts/today';
import { PARTS } from './parts';

const MOST_DAYS = 400;

/** Works a report out. @throws MowingError for days that are none, or an account without figures */
export async function makeReport(asked: NewReport): Promise<ReportContent> {
  const account = await needAccount(asked.account);
  if (account.lastDay === null)
    throw new MowingError(
      'conflict',
      `${account.name} has no figures yet. Bring a report or connect a market first.`,
    );
  const { from, to, beforeFrom, beforeTo } = asked;
  for (const [first, last] of [
    [from, to],
    [beforeFrom ?? from, beforeTo ?? to],
  ])
    if (first > last || daysIn(first, last) > MOST_DAYS)
      throw new MowingError(
        'bad-request',
        `A report is of 1 to ${MOST_DAYS} days; ${first} to ${last} has not.`,
      );
  if (from > account.lastDay)
    throw new MowingError(
      'bad-request',
      `Nothing is known of ${formatFullDay(from)} yet; the last day with figures is ${formatFullDay(account.lastDay)}.`,
    );
  const window = await chooseWindow(account, from, to);
  const before = comparedWindow(
    window,
    account,
    beforeFrom && beforeTo ? { from: beforeFrom, to: beforeTo } : null,
  );
  const today = todayOf(account);
  const at = { account, today, window, before };
  const parts: ReportContent['parts'] = [];
  for (const { part, note } of asked.parts)
    parts.push({ key: part, title: PART_TITLES[part], note, blocks: await PARTS[part](at) });
  return {
    account: { name: account.name, currency: account.currency },
    from: window.from,
    to: window.to,
    before: { from: before.from, to: before.to },
    madeOn: today,
    paper: asked.paper,
    parts,
  };
}
