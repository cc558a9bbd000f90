import { fundsEnd, monthOf, moneyWarnings, partWarnings } from '../../core/pace';
import { addDays } from '../../core/units';
import type { MoneyAnswer, YearAnswer } from '../../contract/money';
import { MowingError } from '../../contract/mowingError';
import { updateMarketFacts } from '../../db/queries/accounts';
import { listMonthGoals, listMonthsDone, listPacedCampaigns, listSpendDays } from '../../db/queries/money';
import { findMonthGoal } from '../../db/queries/monthGoals';
import { choicesOf, needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { market } from '../market/market';
import { recorded } from '../trail';
import { loadPace } from './spendPlans';
import type { Caller } from '../trail';

/** Weeks before the month from which weekdays get their weight. */
const WEIGH_DAYS = 56;
const RATE_DAYS = 28;

/** What is to be looked after in an account's money; nothing while it has no figures. */
export async function loadMoney(accountId: number): Promise<MoneyAnswer> {
  const account = await needAccount(accountId);
  const { lastDay: last, funds, currency } = account;
  if (last === null) return { warnings: [], funds: funds === null ? null : { left: funds, end: null } };
  const month = monthOf(last);
  const [days, campaigns, goal, { parts }] = await Promise.all([
    listSpendDays(db(), accountId, addDays(month, -WEIGH_DAYS), last),
    listPacedCampaigns(db(), accountId, last),
    findMonthGoal(db(), accountId, month),
    loadPace(accountId),
  ]);
  const amounts = new Map(days.map(({ day, spend }) => [day, spend]));
  const { means, month: money } = choicesOf(account).money;
  const warnings = moneyWarnings({
    currency,
    funds,
    amounts,
    last,
    goal: goal?.spend ?? (means === 'money' ? money : null),
    campaigns: campaigns.map(({ spentLately, clicksLately, ...one }) => ({
      ...one,
      perDay: spentLately / RATE_DAYS,
      cpc: clicksLately > 0 ? spentLately / clicksLately : 0,
    })),
  });
  const end = funds !== null && funds > 0 ? fundsEnd(amounts, last, funds) : null;
  return {
    warnings: [...warnings, ...partWarnings(parts, currency)],
    funds: funds === null ? null : { left: funds, end },
  };
}

/** A year's months with their goals. */
export async function loadYear(accountId: number, year: string): Promise<YearAnswer> {
  await needAccount(accountId);
  const [goals, done] = await Promise.all([
    listMonthGoals(db(), accountId, year),
    listMonthsDone(db(), accountId, year),
  ]);
  const goalOf = new Map(goals.map((one) => [one.month, one]));
  const spentOf = new Map(done.map((one) => [one.month, one.spend]));
  return {
    year,
    months: Array.from({ length: 12 }, (_, at) => {
      const month = `${year}-${String(at + 1).padStart(2, '0')}-01`;
      const { sales = null, spend = null } = goalOf.get(month) ?? {};
      return { month, sales, spend, spent: spentOf.get(month) ?? null };
    }),
  };
}

/** Pays prepaid money in on the account's market. @throws MowingError where it bills afterwards, or the account is fed by files */
export async function topUp(caller: Caller, accountId: number, amount: number): Promise<{ funds: number }> {
  const account = await needAccount(accountId);
  if (account.marketId === null || account.funds === null)
    throw new MowingError('bad-request', 'This account has no prepaid funds to top up.');
  await market().topUp(account.marketId, amount);
  const remote = (await market().accounts()).find(({ id }) => id === account.marketId);
  await recorded(caller, accountId, async (tx, note) => {
    note({ what: 'top up funds', from: { funds: account.funds }, to: { amount } });
    if (remote) await updateMarketFacts(tx, accountId, remote);
  });
  return { funds: remote?.funds ?? account.funds + amount };
}
