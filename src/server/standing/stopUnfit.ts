import { effectTrip, refusalTrip } from '../../core/rules';
import type { RuleGuards } from '../../core/rules';
import { listNights, listRules, stopRules } from '../../db/queries/rules';
import { db } from '../context/context';
import { loadRuleEffect } from '../effects/loadEffects';
import { MOWING, recorded } from '../trail';

/** Stops rules whose last night was refused too often, or whose effect is surely for the worse. */
export async function stopUnfit(accountId: number, guards: RuleGuards): Promise<void> {
  const on = (await listRules(db(), accountId)).filter(({ isOn, lastNight }) => isOn && lastNight !== null);
  if (on.length === 0) return;
  const nights = await listNights(db(), accountId);
  for (const { id } of on) {
    const last = nights.find((one) => one.ruleId === id && one.state === 'done');
    const why =
      (last ? refusalTrip(last.accepted, last.refused, guards) : null) ??
      effectTrip((await loadRuleEffect(accountId, id)).effect?.acos ?? null);
    if (why === null) continue;
    await recorded(MOWING, accountId, async (tx, note) => {
      await stopRules(tx, accountId, [id], why);
      note({ what: 'rule stops itself', subject: `rule ${id}`, to: { why } });
    });
  }
}
