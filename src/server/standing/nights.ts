import type { NightInfo, NightsAnswer } from '../../contract/rules';
import { MowingError } from '../../contract/mowingError';
import { dropStepsOfNight } from '../../db/queries/growth';
import { listNightChanges, listNights } from '../../db/queries/rules';
import { needAccount } from '../accounts/accounts';
import { withdraw } from '../changes/stageChanges';
import { undoChanges } from '../changes/undoChanges';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** The last nights of an account's rules, the newest first. */
export async function loadNights(accountId: number): Promise<NightsAnswer> {
  await needAccount(accountId);
  return { nights: (await listNights(db(), accountId)) satisfies NightInfo[] };
}

/**
 * Takes a night back: what is in the tray still is taken out, what was accepted is put to the tray the other way round; where something else was set
 * since, it stays.
 * @throws MowingError 'conflict' when nothing of it can be taken back
 */
export async function undoNight(
  caller: Caller,
  { account, night }: { account: number; night: number },
): Promise<{ takenOut: number; staged: number[] }> {
  await needAccount(account);
  const changes = await listNightChanges(db(), account, night);
  const ids = (state: string) => changes.flatMap((one) => (one.state === state ? [one.id] : []));
  const [staged, accepted] = [ids('staged'), ids('accepted')];
  const stages = await recorded(caller, account, async (tx, note) => {
    const count = await dropStepsOfNight(tx, account, night);
    if (count > 0) note({ what: 'take back stages', subject: `night ${night}`, from: { count } });
    return count;
  });
  if (staged.length + accepted.length + stages === 0)
    throw new MowingError(
      'conflict',
      'Nothing of this night can be taken back: it changed nothing, or was undone.',
    );
  const out = staged.length > 0 ? await withdraw(caller, account, staged) : [];
  if (accepted.length === 0) return { takenOut: out.length, staged: [] };
  const { ids: undoing } = await undoChanges(caller, { account, ids: accepted, changed: 'leave' });
  return { takenOut: out.length, staged: undoing };
}
