import type { NewChange } from '../../contract/changes';
import type { NightTold } from '../../contract/rules';
import type { Day } from '../../core/units';
import type { Transaction } from '../../db/connection';
import { insertDraftAdGroup, insertDraftCampaign } from '../../db/queries/drafts';
import { insertGrowthStep, listMembers } from '../../db/queries/growth';
import { insertNight, stopRules } from '../../db/queries/rules';
import type { NewNight, RuleRow } from '../../db/queries/rules';
import { joinChanges } from '../../plans/terms';
import { stageIn } from '../changes/stageChanges';
import { MOWING, recorded } from '../trail';
import type { RuleWanted } from './stepWanted';

/** What a rule did in a night, or would do. */
export interface RuleNight extends NightTold {
  rule: RuleRow;
  goes: RuleWanted[];
}

/** Writes nights down and puts what they do to the tray, all or nothing. */
export async function keepNights(accountId: number, nights: readonly RuleNight[], day: Day): Promise<void> {
  await recorded(MOWING, accountId, async (tx, note) => {
    for (const { rule, goes, ...told } of nights) {
      const { sends } = rule.rule;
      const state: NewNight['state'] = sends && told.made > 0 ? 'planned' : 'done';
      const id = await insertNight(tx, accountId, { ...told, ruleId: rule.id, day, state, sends, why: null });
      if (id === null || goes.length === 0) continue;
      const lists: NewChange[][] = [];
      for (const one of goes)
        lists.push(await keepGrowth(tx, accountId, { ruleId: rule.id, night: id, day }, one));
      const changes = joinChanges(lists);
      await stageIn(
        tx,
        accountId,
        changes.map((one) => ({ ...one, figures: { ...one.figures, rule: rule.id, night: id } })),
      );
      note({ what: 'rule by night', subject: `rule ${rule.id}`, to: { night: id, day, changes: told.made } });
    }
  });
}

/** Writes down what a growth plan makes and moves on. @returns the changes of it, in the places that it makes */
async function keepGrowth(
  tx: Transaction,
  accountId: number,
  at: { ruleId: number; night: number; day: Day },
  { makes, moves, list, reason }: RuleWanted,
): Promise<NewChange[]> {
  if (moves) {
    const members = await listMembers(tx, accountId, at.ruleId);
    const known = members.find(({ campaignId }) => campaignId === moves.campaign);
    if (known) await insertGrowthStep(tx, accountId, { ...known, ...at, stage: moves.to, reason });
  }
  if (!makes) return list;
  const campaignId = await insertDraftCampaign(tx, accountId, makes.campaign);
  const adGroupId = await insertDraftAdGroup(tx, accountId, { ...makes.adGroup, campaignId });
  const { stage, part } = makes;
  await insertGrowthStep(tx, accountId, {
    ...at,
    campaignId,
    stage,
    isMade: true,
    part,
    budget: null,
    reason,
  });
  return makes.listIn({ campaignId, adGroupId });
}

/** Writes down that rules did not look; where they stop themselves, that too. */
export async function skipNight(
  accountId: number,
  due: readonly RuleRow[],
  day: Day,
  why: string,
  isStop: boolean,
) {
  await recorded(MOWING, accountId, async (tx, note) => {
    for (const { id, rule } of due)
      await insertNight(tx, accountId, {
        ruleId: id,
        day,
        state: 'skipped',
        sends: rule.sends,
        looked: 0,
        made: 0,
        spend: 0,
        sales: 0,
        leftOut: [],
        why,
      });
    if (!isStop) return;
    const ids = due.map(({ id }) => id);
    await stopRules(tx, accountId, ids, why);
    note({ what: 'rules stop themselves', subject: 'rules', to: { ids, why } });
  });
}
