import { CHANGE_PURPOSES, purposeOf, sumExpected } from '../../core/changes';
import type { ChangePurpose } from '../../core/changes';
import { effectMeasure } from '../../core/effect';
import type { MadeChange } from '../../core/effect';
import { addDays, dayFromNumber, dayNumber } from '../../core/units';
import { UNSETTLED_DAYS, unsettledDays } from '../../core/windows';
import type { BaleEffects, PurposeEffects, RuleEffectAnswer } from '../../contract/effects';
import { listAccepted } from '../../db/queries/effects';
import type { AcceptedChange } from '../../db/queries/effects';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadCompletion } from '../sync/loadCompletion';
import { loadEffectFeed } from './effectFeed';

/** Changes are looked back on so many days. */
const LOOK_BACK = 180;

async function loadMeasure(accountId: number, isAsked: (change: AcceptedChange) => boolean) {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const late =
    account.marketId === null ? UNSETTLED_DAYS : unsettledDays(await loadCompletion(accountId, today));
  const lastDay = account.lastDay ?? addDays(today, -1);
  const settledThrough = Math.min(dayNumber(lastDay), dayNumber(today) - 1 - late);
  const accepted = await listAccepted(db(), accountId, addDays(today, -LOOK_BACK));
  const asked = accepted.filter(isAsked);
  const { feed, made } = await loadEffectFeed(accountId, accepted, asked, settledThrough, account.sums);
  const measure = effectMeasure(feed);
  return {
    asked,
    made,
    settledThrough: dayFromNumber(settledThrough),
    measure: (changes: readonly MadeChange[]) => {
      const { readyOn, ...effect } = measure(changes);
      // The first week has to be over, and its orders have to be in.
      return { ...effect, readyOn: readyOn === null ? null : dayFromNumber(readyOn + late + 1) };
    },
  };
}

/** What a bale did, and each of its changes. */
export async function loadBaleEffects(accountId: number, baleId: number): Promise<BaleEffects> {
  const { made, settledThrough, measure } = await loadMeasure(accountId, (one) => one.baleId === baleId);
  const changes = [...made.values()];
  return {
    settledThrough,
    bale: measure(changes),
    changes: changes.map((one) => ({ id: one.id, effect: measure([one]) })),
  };
}

/** What the changes of a rule did together so far; null while it has made none. */
export async function loadRuleEffect(accountId: number, rule: number): Promise<RuleEffectAnswer> {
  const { made, settledThrough, measure } = await loadMeasure(
    accountId,
    ({ figures }) => figures.rule === rule,
  );
  return { settledThrough, effect: made.size === 0 ? null : measure([...made.values()]) };
}

/**
 * What each purpose of change did, over all bales of the last half year. Targets to which things of two purposes were done on one day say
 * nothing of either and are left out.
 */
export async function loadPurposeEffects(accountId: number): Promise<PurposeEffects> {
  const { asked, made, settledThrough, measure } = await loadMeasure(accountId, () => true);
  const byPurpose = new Map<ChangePurpose, MadeChange[]>();
  const purposesOn = new Map<string, Set<ChangePurpose>>();
  const keyOf = (day: number, target: number) => `${day} ${target}`;
  for (const { id, change, figures, isUndo } of asked) {
    const purpose = purposeOf(change, figures.step, isUndo);
    const one = made.get(id)!;
    const list = byPurpose.get(purpose);
    if (list) list.push(one);
    else byPurpose.set(purpose, [one]);
    for (const target of one.targets) {
      const key = keyOf(one.day, target);
      purposesOn.set(key, (purposesOn.get(key) ?? new Set()).add(purpose));
    }
  }
  const ofOneSort = ({ day, targets }: MadeChange) =>
    targets.filter((target) => purposesOn.get(keyOf(day, target))!.size === 1);
  const purposes = (Object.keys(CHANGE_PURPOSES) as ChangePurpose[]).filter((purpose) =>
    byPurpose.has(purpose),
  );
  return {
    settledThrough,
    purposes: purposes.map((purpose) => {
      const changes = byPurpose.get(purpose)!;
      const targets = new Set(changes.flatMap(({ day, targets }) => targets.map((one) => keyOf(day, one))));
      const mixed = [...targets].filter((key) => purposesOn.get(key)!.size > 1).length;
      return {
        purpose,
        changes: changes.length,
        mixed,
        expected: sumExpected(changes.map(({ expected }) => expected)),
        effect: measure(changes.map((one) => ({ ...one, targets: ofOneSort(one) }))),
      };
    }),
  };
}
