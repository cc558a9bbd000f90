import type { GuardsRequest, RuleInfo, RuleRequest, RulesAnswer } from '../../contract/rules';
import { MowingError } from '../../contract/mowingError';
import { nextNight, USUAL_GUARDS } from '../../core/rules';
import type { Rule, RuleGuards } from '../../core/rules';
import { indexTree } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import { addDays } from '../../core/units';
import {
  findLastNight,
  insertRule,
  keepGuards,
  listRules,
  orderRules,
  readGuards,
  removeRule,
  updateRule,
} from '../../db/queries/rules';
import type { AccountRow } from '../../db/queries/accounts';
import type { RuleRow } from '../../db/queries/rules';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadTree } from '../field/loadTree';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { checkRule } from './checkRule';
import { canPlay } from './play/canPlay';
import { scopeName } from './scopeName';

/** What holds for all rules of an account: what was set, and for the rest what is usual. */
export async function guardsOf(accountId: number): Promise<RuleGuards> {
  return { ...USUAL_GUARDS, ...(await readGuards(db(), accountId)) };
}

/** An account's rules, in their order. */
export async function loadRules(accountId: number): Promise<RulesAnswer> {
  const account = await needAccount(accountId);
  const [rows, last, guards] = await Promise.all([
    listRules(db(), accountId),
    findLastNight(db(), accountId),
    guardsOf(accountId),
  ]);
  if (rows.length === 0) return { rules: [], guards, lastNight: last ?? null };
  const index = indexTree(await loadTree(accountId, { targets: 'none' }));
  const tomorrow = addDays(todayOf(account), 1);
  return {
    rules: rows.map((row) => infoOf(row, account, index, guards, tomorrow)),
    guards,
    lastNight: last ?? null,
  };
}

function infoOf(
  { id, rule, isOn, stoppedWhy, tried, played, lastNight }: RuleRow,
  account: AccountRow,
  index: TreeIndex,
  { isStopped }: RuleGuards,
  tomorrow: string,
): RuleInfo {
  return {
    id,
    rule,
    isOn,
    stoppedWhy,
    scopeName: scopeName(index, rule.scope, rule.swath) ?? 'what has gone',
    isTried: tried === triedText(rule),
    canPlay: canPlay(rule, account),
    isPlayed: played === triedText(rule),
    lastNight,
    nextNight: isOn && !isStopped ? nextNight(rule, lastNight, tomorrow) : null,
  };
}

/** The first day after another on which a rule of the account works; null for none. */
export async function nextNightOf(accountId: number, after: string): Promise<string | null> {
  if ((await guardsOf(accountId)).isStopped) return null;
  const days = (await listRules(db(), accountId)).flatMap(({ rule, isOn, lastNight }) =>
    isOn ? (nextNight(rule, lastNight, addDays(after, 1)) ?? []) : [],
  );
  return days.sort()[0] ?? null;
}

/** A rule as it is tried: how often it runs, whether it asks and what it is called change nothing of what it does. */
export const triedText = ({ name: _, rhythm: __, until: ___, sends: ____, ...does }: Rule): string =>
  // What a rule does not have is left out: another version of the program may know of more.
  JSON.stringify(inOrder(Object.fromEntries(Object.entries(does).filter(([, value]) => value !== null))));

/** The same value with its keys in order: the database gives them back in another. */
const inOrder = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(inOrder)
    : value !== null && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .sort(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, one]) => [key, inOrder(one)]),
        )
      : value;

/** Keeps a rule. @throws MowingError for one that cannot be carried out, and one that would send by itself before it was tried */
export async function saveRule(
  caller: Caller,
  { account: accountId, id, rule, isOn }: RuleRequest,
): Promise<RulesAnswer> {
  const account = await needAccount(accountId);
  const [tree, rows] = await Promise.all([
    loadTree(accountId, { targets: 'none' }),
    listRules(db(), accountId),
  ]);
  const before = rows.find((one) => one.id === id);
  if (id !== undefined && !before) throw noRule(id);
  checkRule(rule, indexTree(tree), account);
  if (rule.sends && !caller.rights.includes('own'))
    throw new MowingError(
      'forbidden',
      `A rule that sends by itself is kept by an owner of the account. Let it ask, or ask one.`,
    );
  const isTried = before?.tried === triedText(rule);
  const isPlayed = !canPlay(rule, account) || before?.played === triedText(rule);
  const mayBeOn = !rule.sends || (isTried && isPlayed);
  // One that does something else now is off until it is tried again, where it sends by itself.
  const on = isOn ?? ((before?.isOn ?? false) && mayBeOn);
  if (on && !mayBeOn)
    throw new MowingError(
      'conflict',
      `It may send by itself once it was tried as it stands: ${isTried ? 'play it on markets like this one' : 'try it on the past'}, or let it ask.`,
    );
  await recorded(caller, accountId, async (tx, note) => {
    const kept = id ?? (await insertRule(tx, accountId, rule, on));
    if (id !== undefined)
      await updateRule(tx, accountId, id, { rule, isOn: on, isAnswered: isOn !== undefined });
    note({
      what: id === undefined ? 'make rule' : 'change rule',
      subject: `rule ${kept}`,
      ...(before && { from: { rule: before.rule, isOn: before.isOn } }),
      to: { rule, isOn: on },
    });
  });
  return loadRules(accountId);
}

export const noRule = (id: number) => new MowingError('not-found', `The account has no rule ${id}.`);

/** Takes a rule away, or brings it back switched off; what it did stays. */
export async function putRule(
  caller: Caller,
  { account, id, back }: { account: number; id: number; back: boolean },
): Promise<RulesAnswer> {
  await needAccount(account);
  await recorded(caller, account, async (tx, note) => {
    if (!(await removeRule(tx, account, id, !back))) throw noRule(id);
    note({ what: back ? 'take rule back' : 'remove rule', subject: `rule ${id}` });
  });
  return loadRules(account);
}

/** Puts rules in another order. */
export async function sortRules(
  caller: Caller,
  { account, ids }: { account: number; ids: number[] },
): Promise<RulesAnswer> {
  await needAccount(account);
  await recorded(caller, account, async (tx, note) => {
    await orderRules(tx, account, ids);
    note({ what: 'order rules', to: { ids } });
  });
  return loadRules(account);
}

/** Sets what holds for all rules; the one switch is among it. */
export async function setGuards(caller: Caller, { account, guards }: GuardsRequest): Promise<RulesAnswer> {
  await needAccount(account);
  const from = await guardsOf(account);
  await recorded(caller, account, async (tx, note) => {
    await keepGuards(tx, account, guards);
    note({ what: guards.isStopped && !from.isStopped ? 'stop all rules' : 'set guards', from, to: guards });
  });
  return loadRules(account);
}
