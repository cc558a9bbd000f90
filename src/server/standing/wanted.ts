import type { FieldSumsAnswer } from '../../contract/api';
import type { RoundStep } from '../../contract/review';
import type { Rule, RuleWork } from '../../core/rules';
import { indexTree, isInScope } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import type { Day } from '../../core/units';
import { listChangeRows } from '../../db/queries/changes';
import { planByConditions, stagedOf } from '../../plans/byHand';
import { db } from '../context/context';
import { needAccount } from '../accounts/accounts';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { growthWanted } from './growth/growthWanted';
import { howOf, stepWanted } from './stepWanted';
import type { FoundWanted, RuleWanted } from './stepWanted';
import { USUAL_LIMITS } from '../../core/changes';

/** The steps of the round whose proposals a rule takes. */
const STEPS: Record<Exclude<RuleWork, 'by hand' | 'growth'>, readonly RoundStep[]> = {
  dead: ['dead'],
  bids: ['over', 'grow'],
  negatives: ['negatives'],
  harvest: ['harvest'],
  placements: ['placements'],
  budgets: ['budgets'],
  hours: ['hours'],
};

/** Works that can be looked at as on a day that is past: what they go by is kept day by day. */
export const KNOWN_IN_THE_PAST: readonly RuleWork[] = ['dead', 'bids'];

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
  const index = indexTree(await loadTree(accountId));
  if (rule.work === 'by hand') return byHand(accountId, rule, index);
  const steps = rule.work === 'bids' && rule.tests ? [...STEPS.bids, 'test' as const] : STEPS[rule.work];
  return stepWanted(accountId, rule, steps, {
    index,
    isIn: (place) => isInScope(rule.scope.kind, rule.scope.id, place),
    how: howOf(rule, on),
  });
}

/** A step by hand on the targets that meet the conditions. */
async function byHand(accountId: number, rule: Rule, index: TreeIndex): Promise<FoundWanted> {
  const { limits } = await needAccount(accountId);
  const window = rule.lookBack === null ? {} : { from: `last${rule.lookBack}`, to: 'settled' };
  const sums = JSON.parse(
    await loadFieldSums({ account: accountId, grain: 'target', ...window }),
  ) as FieldSumsAnswer;
  const pending = await Promise.all(
    (['staged', 'sending'] as const).map((state) => listChangeRows(db(), accountId, { state })),
  );
  const { rows, changes } = planByConditions(index, sums, rule.hand, limits ?? USUAL_LIMITS, {
    ...rule.bid,
    waitDays: rule.waitDays,
    staged: stagedOf(pending.flat()),
  });
  const wanted = changes.flatMap(({ targetId, name, place, figures, change }): RuleWanted[] =>
    isInScope(rule.scope.kind, rule.scope.id, index.placeOfTarget(targetId))
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
