import type { LeftOut, NightTold } from '../../contract/rules';
import { MowingError } from '../../contract/mowingError';
import { isDue, RULE_WORKS, settleRules } from '../../core/rules';
import type { NightUse, RuleGuards, RuleWork, Settled } from '../../core/rules';
import { counted, formatFullDay } from '../../core/units';
import { listRules } from '../../db/queries/rules';
import type { RuleRow } from '../../db/queries/rules';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keepNights, skipNight } from './keepNights';
import type { RuleNight } from './keepNights';
import { notTonight, whyStop } from './mayRun';
import { guardsOf } from './rules';
import { sendNights } from './sendNights';
import { stopUnfit } from './stopUnfit';
import { wantedBy } from './wanted';
import type { RuleWanted } from './stepWanted';

/** Works whose proposals are settled together; each of the later ones starts from what the tray holds by then. */
const PHASES: readonly (readonly RuleWork[])[] = [
  RULE_WORKS.filter((work) => !['placements', 'budgets', 'hours'].includes(work)),
  ['placements'],
  ['budgets'],
  ['hours'],
];

export interface NightResult {
  /** What it came to, in a sentence. */
  words: string;
  nights: RuleNight[];
}

interface HowRun {
  /** Looked at only: nothing is written, staged or sent. */
  isDry?: boolean;
  tell?: (doing: string, done: number, total: number) => Promise<void>;
}

/**
 * The night of an account: every rule that is due looks, what it wants is settled with the others and the guard rails, goes to the tray, and is
 * sent where the rule sends by itself. Each night of a rule is written down once with what it does, in one transaction; a run that was cut
 * off goes on where it was.
 */
export async function runNight(
  accountId: number,
  { isDry = false, tell }: HowRun = {},
): Promise<NightResult> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files: no rule runs without a market.`);
  const today = todayOf(account);
  const guards = await guardsOf(accountId);
  // What an earlier run left behind goes first, whatever is due now; the one switch holds it back too.
  if (!isDry && !guards.isStopped) await sendNights(accountId, guards, today);
  if (guards.isStopped) return { words: 'All rules are stopped by the one switch.', nights: [] };
  if (!isDry) await stopUnfit(accountId, guards);
  const due = (await listRules(db(), accountId)).filter(
    ({ isOn, rule, lastNight }) => isOn && isDue(rule, lastNight, today),
  );
  if (due.length === 0) return { words: 'No rule is due.', nights: [] };
  const stop = await whyStop(account, guards);
  const skip = (await notTonight(account)) ?? stop;
  if (skip !== null) {
    if (!isDry) await skipNight(accountId, due, today, skip, stop !== null && skip === stop);
    return { words: `${counted(due.length, 'rule')} did not look. ${skip}`, nights: [] };
  }
  const use: NightUse = { changes: 0, spend: 0 };
  const nights: RuleNight[] = [];
  for (const [at, works] of PHASES.entries()) {
    const own = due.filter(({ rule }) => works.includes(rule.work));
    if (own.length === 0) continue;
    await tell?.(`looking: ${works.length > 1 ? 'bids and terms' : works[0]}`, at, PHASES.length);
    const found = await settledOf(accountId, own, guards, use);
    for (const one of found) nights.push(one);
    if (!isDry) await keepNights(accountId, found, today);
  }
  if (!isDry) {
    await tell?.('sending', PHASES.length, PHASES.length);
    await sendNights(accountId, guards, today);
  }
  const made = nights.reduce((sum, one) => sum + one.made, 0);
  return {
    words: `${counted(nights.length, 'rule')} looked on ${formatFullDay(today)}: ${counted(made, 'change')}.`,
    nights,
  };
}

async function settledOf(
  accountId: number,
  rules: readonly RuleRow[],
  guards: RuleGuards,
  use: NightUse,
): Promise<RuleNight[]> {
  const asking: {
    rule: RuleRow['rule'];
    place: number;
    row: RuleRow;
    looked: number;
    wanted: RuleWanted[];
  }[] = [];
  for (const [place, row] of rules.entries())
    asking.push({ rule: row.rule, place, row, ...(await wantedBy(accountId, row.id, row.rule)) });
  const settled = settleRules(asking, guards.most, use);
  return asking.map(({ row, looked, place }) => {
    const own = settled.get(place)!;
    return { rule: row, goes: own.goes, ...nightTold(looked, own) };
  });
}

/** What a rule's night comes to. */
export function nightTold(looked: number, { goes, left }: Settled<RuleWanted>): NightTold {
  const out = new Map<string, LeftOut>();
  for (const { wanted, why, rule: other } of left) {
    const one = out.get(why) ?? { why, count: 0, some: [], rules: [] };
    one.count += 1;
    if (one.some.length < 3) one.some.push(wanted.name);
    if (other !== undefined && !one.rules.includes(other)) one.rules.push(other);
    out.set(why, one);
  }
  const sum = (key: 'changes' | 'spend' | 'sales') => goes.reduce((all, one) => all + one[key], 0);
  return {
    looked,
    made: sum('changes'),
    spend: sum('spend'),
    sales: sum('sales'),
    leftOut: [...out.values()],
  };
}
