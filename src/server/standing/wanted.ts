import type { RoundStep } from '../../contract/review';
import type { Rule, RuleWork } from '../../core/rules';
import { indexTree } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import type { Day } from '../../core/units';
import { listChangeRows } from '../../db/queries/changes';
import { stagedOf } from '../../plans/byHand';
import { db } from '../context/context';
import { needAccount } from '../accounts/accounts';
import { askField } from '../field/askField';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { standingLosses } from '../aside/losses';
import { growthWanted } from './growth/growthWanted';
import { newTermsWanted } from './newTerms/newTermsWanted';
import { ruleReader } from './ruleReader';
import type { InRule } from './ruleReader';
import { howOf, placeOf, stepWanted } from './stepWanted';
import type { FoundWanted, RuleWanted } from './stepWanted';

/** The steps of the round whose proposals a rule takes. */
const STEPS: Record<Exclude<RuleWork, 'by hand' | 'new terms' | 'growth'>, readonly RoundStep[]> = {
  dead: ['dead'],
  bids: ['over', 'grow'],
  negatives: ['negatives'],
  harvest: ['harvest'],
  placements: ['placements'],
  budgets: ['budgets'],
  hours: ['hours'],
};

/** Whether a work can be looked at as on a day that is past: how a growth plan stood, and what the market suggested, is not kept. */
export const isPastKnown = ({ work }: Pick<Rule, 'work'>): boolean =>
  work !== 'growth' && work !== 'new terms';

/**
 * What a rule wants now, or wanted on a day that is past, before anything is settled: the proposals of the round in its scope, at its settings.
 * @param id of the rule; undefined for one that is not kept yet
 */
export async function wantedBy(
  accountId: number,
  id: number | undefined,
  rule: Rule,
  on?: Day,
): Promise<FoundWanted> {
  if (rule.work === 'growth') return growthWanted(accountId, id, rule);
  if (rule.work === 'new terms') return newTermsWanted(accountId, rule);
  // Targets are gone through in threads: here places are enough.
  const index = indexTree(await loadTree(accountId, { on, targets: 'none' }));
  const isIn = await ruleReader(accountId, rule, on);
  if (rule.work === 'by hand') return byHand(accountId, rule, { index, isIn, on });
  const steps = rule.work === 'bids' && rule.tests ? [...STEPS.bids, 'test' as const] : STEPS[rule.work];
  return stepWanted(accountId, rule, steps, {
    index,
    isIn,
    how: howOf(rule, on),
  });
}

/** A step by hand on the targets that meet the conditions. */
async function byHand(
  accountId: number,
  rule: Rule,
  { index, isIn, on }: { index: TreeIndex; isIn: InRule; on: Day | undefined },
): Promise<FoundWanted> {
  const { limits } = await needAccount(accountId);
  const window = rule.lookBack === null ? {} : { from: `last${rule.lookBack}`, to: 'settled' };
  const sums = await loadFieldSums({ account: accountId, grain: 'target', ...window }, on);
  const pending =
    on === undefined
      ? await Promise.all(
          (['staged', 'sending'] as const).map((state) => listChangeRows(db(), accountId, { state })),
        )
      : [];
  const accepted = new Set((await standingLosses(accountId)).flatMap(({ targets }) => targets));
  const bounds = { ...rule.bid, waitDays: rule.waitDays, staged: stagedOf(pending.flat()) };
  const asked = { sums, rule: rule.hand, limits, bounds };
  const { rows, changes } = await askField(accountId, 'byHand', asked, on);
  const wanted = changes.flatMap(({ targetId, adGroupId, name, place, figures, change }): RuleWanted[] =>
    // What a loss is accepted for keeps its bid, whoever would move it.
    !accepted.has(targetId) &&
    isIn({ kind: 'target', id: targetId, place: placeOf(index, 'target', targetId, adGroupId) })
      ? [
          {
            subject: `target ${targetId}`,
            name,
            place,
            reason: change.reason,
            figures,
            changes: 1,
            spend: change.effect.spend,
            sales: change.effect.sales,
            list: [change],
          },
        ]
      : [],
  );
  return { looked: rows, wanted };
}
