import type { AcceptAnswer, AcceptRequest } from '../../contract/plan';
import { joinChanges } from '../../plans/terms';
import type { Caller } from '../trail';
import { stageChanges } from '../changes/stageChanges';
import { planStep } from './loadPlan';

/** Stages what a plan proposes, all or none of what is asked for; what cannot be is told with the reason. */
export async function acceptPlan(
  caller: Caller,
  { accept, ...request }: AcceptRequest,
): Promise<AcceptAnswer> {
  const { planned } = await planStep(request);
  const byId = new Map(planned.map((one) => [String(one.told.subject.id), one]));
  const ids = accept === 'all' ? planned.map(({ told }) => told.subject.id) : [...new Set(accept)];
  const notStaged: AcceptAnswer['notStaged'] = [];
  const lists = ids.flatMap((id) => {
    const one = byId.get(String(id));
    if (one?.changes) return [{ id, changes: one.changes }];
    notStaged.push({ id, why: one ? 'It has no home yet: choose one in the round.' : 'It is not proposed.' });
    return [];
  });
  const staged = await stageChanges(
    caller,
    request.account,
    joinChanges(lists.map(({ changes }) => changes)),
  );
  let at = 0;
  for (const { id, changes } of lists) {
    if (staged[at] === null) notStaged.push({ id, why: 'It is staged or under way already.' });
    at += changes.length;
  }
  return { staged: staged.filter((id): id is number => id !== null), notStaged };
}
