import type { TrialInfo, TrialNeeds } from '../../contract/trials';
import { describeChange } from '../../core/changes';
import { estimateTrial, nextSwitch } from '../../core/trials';
import { formatCount } from '../../core/units';
import { listSwitches, listTrials, withSameProducts } from '../../db/queries/weekTrials';
import type { TrialRow } from '../../db/queries/weekTrials';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { PLANNED_FROM } from '../hours/loadSchedules';
import { readWeekRows, weeksOf } from '../hours/weekRows';
import { settledWeeks, watchedOf } from './weeksKnown';

const MOST_WORDS = 5;

/** The first of what is tried, and how many more there are. */
const firstOf = (words: readonly string[]): string[] =>
  words.length <= MOST_WORDS
    ? [...words]
    : [...words.slice(0, MOST_WORDS), `and ${formatCount(words.length - MOST_WORDS)} more`];

/** The account's trials by weeks, the newest first, with what their weeks tell so far. */
export async function loadTrials(accountId: number): Promise<TrialInfo[]> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const infoOf = async (trial: TrialRow): Promise<TrialInfo> => {
    const { rankBound, salesBound, changes, ...rest } = trial;
    const [{ known: settled }, watched, switches] = await Promise.all([
      settledWeeks(account, trial),
      watchedOf(account, trial),
      listSwitches(db(), accountId, trial.id),
    ]);
    // What was judged is what is shown: weeks that have settled since a trial ended change nothing of it.
    const judged = trial.verdict?.estimate;
    const known = judged ? settled.slice(0, judged.on + judged.off) : settled;
    const grown = known.flatMap(({ week }, at) => {
      const { sales } = estimateTrial(known.slice(0, at + 1), trial.weeks).effects;
      return sales ? [{ week, sales }] : [];
    });
    return {
      ...rest,
      what: firstOf([...new Set(changes.map(({ change }) => describeChange(change)))]),
      changes: changes.length,
      bounds: { rank: rankBound, sales: salesBound },
      isOn: switches.at(-1)?.isOn ?? false,
      nextSwitch: trial.state === 'running' ? nextSwitch(trial.firstDay, trial.weeks, today) : null,
      switches: switches.map(({ changeIds, ...one }) => ({ ...one, changes: changeIds.length })),
      settled: known.map(({ week }) => week),
      estimate: judged ?? estimateTrial(known, trial.weeks),
      grown,
      watched,
    };
  };
  const list: TrialInfo[] = [];
  for (const trial of await listTrials(db(), accountId)) list.push(await infoOf(trial));
  return list;
}

/** What the campaigns sell a week, and those beside them: from this it is told how long a trial takes. */
export async function trialNeeds(accountId: number, campaigns: readonly number[]): Promise<TrialNeeds> {
  const account = await needAccount(accountId);
  const window = await weeksOf(account, PLANNED_FROM);
  const { campaign, orders } = await readWeekRows(account, { scope: 'account', scopeId: 0 }, window);
  const own = new Set(await withSameProducts(db(), accountId, campaigns));
  const sums = { orders: 0, untouched: 0 };
  for (let row = 0; row < orders.length; row += 1)
    sums[own.has(campaign[row]) ? 'orders' : 'untouched'] += orders[row];
  const weeks = window?.weeks ?? 0;
  return weeks === 0
    ? { ...sums, weeks }
    : { orders: sums.orders / weeks, untouched: sums.untouched / weeks, weeks };
}
