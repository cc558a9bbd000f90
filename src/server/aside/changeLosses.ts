import type { LossAnswer, LossRequest } from '../../contract/aside';
import { idsOfSubject } from '../../contract/aside';
import { indexTree } from '../../core/structure';
import { endLosses, listLosses } from '../../db/queries/losses';
import { needAccount } from '../accounts/accounts';
import { needOwned } from '../accounts/owned';
import { todayOf } from '../accounts/today';
import { stageChanges } from '../changes/stageChanges';
import { db } from '../context/context';
import { loadTree } from '../field/loadTree';
import { planBidSteps } from '../plans/loadPlan';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { acceptIn, needComing } from './acceptLosses';
import { coverLosses } from './losses';

/**
 * Accepts losses or accepts them anew, ends them, or ends them and stages the bids that are proposed without them.
 * @throws MowingError for a day that has passed, or what the account does not have
 */
export async function changeLosses(caller: Caller, request: LossRequest): Promise<LossAnswer> {
  const { account: accountId, subjects, does, note = '', most = null } = request;
  const today = todayOf(await needAccount(accountId));
  await needSubjects(accountId, subjects);
  if (does === 'accept') {
    const until = request.until!;
    needComing(until, today);
    await recorded(caller, accountId, async (tx, write) => {
      await acceptIn(tx, accountId, subjects, { today, until, note, most });
      write({ what: 'accept loss', subject: 'losses', to: { subjects, until, note, most } });
    });
    return { count: subjects.length, staged: [] };
  }
  const rows = (await listLosses(db(), accountId)).filter(({ subject }) => subjects.includes(subject));
  const count = await recorded(caller, accountId, async (tx, write) => {
    const ended = await endLosses(tx, accountId, subjects, today);
    write({ what: 'end loss', subject: 'losses', to: { subjects } });
    return ended;
  });
  if (does === 'end') return { count, staged: [] };
  const covered = await coverLosses(accountId, rows, indexTree(await loadTree(accountId)));
  const targets = new Set(covered.flatMap((one) => one.targets));
  const planned = await planBidSteps({ account: accountId }, ['dead', 'over']);
  const changes = planned.flatMap(({ told: { subject }, changes }) =>
    subject.kind === 'target' && targets.has(Number(subject.id)) ? (changes ?? []) : [],
  );
  return { count, staged: changes.length === 0 ? [] : await stageChanges(caller, accountId, changes) };
}

/** That losses are of what the account has. */
async function needSubjects(accountId: number, subjects: readonly string[]): Promise<void> {
  const idsOf = (kind: string) =>
    subjects.filter((one) => one.startsWith(`${kind} `)).map((one) => idsOfSubject(one)[0]);
  await needOwned(accountId, {
    target: idsOf('target'),
    campaign: idsOf('campaign'),
    product: idsOf('product-term'),
  });
}
