import { acceptedOf, judgeCarried, NOTHING_MADE } from '../../core/changes';
import type { Said, Values } from '../../core/changes';
import { formatCount, formatMoney } from '../../core/units';
import type { Query } from '../../db/connection';
import { raiseRevision } from '../../db/queries/accounts';
import { findTarget } from '../../db/queries/accepted';
import { finishBale, listAwaitingBales, listUnanswered } from '../../db/queries/bales';
import { answerChange } from '../../db/queries/changes';
import { dropDrafts } from '../../db/queries/drafts';
import { placesOfTargets } from '../../db/queries/entityValues';
import type { EntityValues } from '../../db/queries/entityValues';
import { refusal, takeAccepted } from './takeAccepted';

const WORDS: Record<keyof Values, string> = {
  state: 'state',
  bid: 'bid',
  budget: 'budget',
  defaultBid: 'default bid',
  top: 'modifier of top of search',
  rest: 'modifier of rest of search',
  pages: 'modifier of product pages',
  week: 'week of the schedule',
  name: 'name',
  budgetKind: 'kind of budget',
  pacing: 'pacing',
  flex: 'bid flex',
  similar: 'similar categories',
  parts: 'titles and pictures',
  startsOn: 'first day',
  endsOn: 'last day',
};

/**
 * Compares what was carried out by hand with what an import says stands, change by change: what it says as wanted is confirmed, what it
 * says otherwise was not carried out, the rest stays open.
 * @param list what the import said, already written @returns what became of it, as a sentence; empty where nothing was waiting
 */
export async function bearOut(tx: Query, accountId: number, list: readonly EntityValues[]): Promise<string> {
  const bales = await listAwaitingBales(tx, accountId);
  if (bales.length === 0) return '';
  const said = saidOf(list, await placesOfTargets(tx, accountId, list));
  const counts = { confirmed: 0, other: 0, open: 0 };
  for (const { id } of bales) {
    const before = counts.open;
    for (const one of await listUnanswered(tx, accountId, id)) {
      const accepted = acceptedOf(one.change);
      const made =
        accepted.does === 'make-target' && said.speaksOf(accepted.adGroupId)
          ? await findTarget(tx, accountId, accepted)
          : undefined;
      const verdict = judgeCarried(accepted, { ...said, made: () => made });
      counts[verdict.is] += 1;
      if (verdict.is === 'open') continue;
      if (verdict.is === 'other') {
        const stands =
          typeof verdict.stands === 'number' ? formatMoney(verdict.stands) : (verdict.stands ?? 'none');
        await answerChange(
          tx,
          accountId,
          one.id,
          refusal(
            'not-carried-out',
            `Not carried out: the import says the ${WORDS[verdict.word]} is ${stands}.`,
          ),
        );
        continue;
      }
      // What it made is here by the import: its own bid stands.
      const done =
        verdict.targetId === null
          ? await takeAccepted(tx, accountId, one, null)
          : { ...NOTHING_MADE, targetId: verdict.targetId };
      await answerChange(tx, accountId, one.id, { accepted: true, code: null, sentence: null, ...done });
    }
    if (counts.open === before) await finishBale(tx, accountId, id);
  }
  await dropDrafts(tx, accountId);
  if (counts.confirmed + counts.other > 0) await raiseRevision(tx, accountId);
  const told = [
    `${formatCount(counts.confirmed)} confirmed`,
    ...(counts.other > 0 ? [`${formatCount(counts.other)} not carried out`] : []),
    ...(counts.open > 0 ? [`${formatCount(counts.open)} that it says nothing of`] : []),
  ];
  return `Of the changes carried out by hand: ${told.join(', ')}. The Ledger shows them.`;
}

/** What an import says, by entity. */
function saidOf(
  list: readonly EntityValues[],
  places: ReadonlyMap<number, { adGroupId: number; campaignId: number }>,
): Pick<Said, 'of'> & { speaksOf: (adGroupId: number) => boolean } {
  const known = new Map<string, Values>();
  const note = (
    entity: string,
    id: number | null | undefined,
    values: Record<string, string | number | null>,
  ) => {
    if (id == null) return;
    const told = Object.fromEntries(Object.entries(values).filter(([, value]) => value !== null)) as Values;
    const key = `${entity} ${id}`;
    known.set(key, { ...known.get(key), ...told });
  };
  for (const one of list) {
    const place = one.targetId === null ? undefined : places.get(one.targetId);
    note('target', one.targetId, { bid: one.bid, state: one.state });
    note('ad-group', place?.adGroupId, { defaultBid: one.defaultBid, state: one.adGroupState });
    note('campaign', one.campaignId ?? place?.campaignId, { budget: one.budget, state: one.campaignState });
  }
  return {
    of: (entity, id) => known.get(`${entity} ${id}`),
    speaksOf: (adGroupId) => known.has(`ad-group ${adGroupId}`),
  };
}
