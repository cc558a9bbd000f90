import { MowingError } from '../../contract/mowingError';
import { refusalTrip } from '../../core/rules';
import type { RuleGuards } from '../../core/rules';
import { endNight, listNightChanges, listPlannedNights, stopRules } from '../../db/queries/rules';
import type { Day } from '../../core/units';
import { sendBale } from '../changes/sendBale';
import { withdraw } from '../changes/stageChanges';
import { db } from '../context/context';
import { MOWING, recorded } from '../trail';

const TAKEN_BACK = 'It was cut off before anything was sent, and taken back: the next night looks anew.';

/**
 * Sends what planned nights hold, a bale each. One that was handed over before is only closed: nothing is sent twice. What an earlier day had
 * planned, or a rule that is off by now, is taken out of the tray: it was decided on figures that are old.
 */
export async function sendNights(accountId: number, guards: RuleGuards, today: Day): Promise<void> {
  for (const { id, ruleId, staged, day, isOn } of await listPlannedNights(db(), accountId)) {
    const isOld = staged.length > 0 && (day < today || !isOn);
    if (isOld) await withdraw(MOWING, accountId, staged);
    else if (staged.length > 0) await handOver(accountId, staged);
    const changes = await listNightChanges(db(), accountId, id);
    const bale = changes.find(({ baleId }) => baleId !== null)?.baleId ?? null;
    const count = (state: string) => changes.filter((one) => one.state === state).length;
    const stop = refusalTrip(count('accepted'), count('refused'), guards);
    await recorded(MOWING, accountId, async (tx, note) => {
      await endNight(tx, accountId, id, { baleId: bale, why: isOld ? TAKEN_BACK : null });
      if (stop === null) return;
      await stopRules(tx, accountId, [ruleId], stop);
      note({ what: 'rule stops itself', subject: `rule ${ruleId}`, to: { why: stop } });
    });
  }
}

async function handOver(accountId: number, ids: number[]): Promise<void> {
  try {
    await sendBale(MOWING, accountId, ids);
  } catch (error) {
    // Somebody was quicker, or what is left waits for other changes: it stays in the tray.
    if (!(error instanceof MowingError) || error.code !== 'conflict') throw error;
  }
}
