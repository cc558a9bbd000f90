import { lensNamed } from '../../core/lenses';
import type { IdColumn, LensEntity } from '../../core/lenses';
import type { Rule, RuleSwath, Subject } from '../../core/rules';
import { isInScope } from '../../core/structure';
import type { Place, TreeIndex } from '../../core/structure';
import type { Day } from '../../core/units';
import { readConditions } from '../../plans/byHand';
import { meetRows } from '../../plans/field';
import { loadFieldSums } from '../field/loadFieldSums';

/** Something that a rule may work on, and where it hangs. A term's id is "adGroupId:termId". */
export interface Placed {
  kind: Subject;
  id: number | string;
  place: Place;
}

/** Whether something is a rule's to work on. */
export type InRule = (one: Placed) => boolean;

/** What a rule works in. @param on a day that is past: a swath has the rows that met its conditions then */
export async function ruleReader(
  accountId: number,
  { scope, swath }: Pick<Rule, 'scope' | 'swath'>,
  index: TreeIndex,
  on?: Day,
): Promise<InRule> {
  const { kind, id } = scope;
  if (kind !== 'swath') return ({ place }) => isInScope(kind, id, place);
  return swath === null ? () => false : swathReader(accountId, swath, index, on);
}

/** The id of a place that a row of a lens holds all of. */
const HELD_BY: Partial<Record<LensEntity, IdColumn>> = {
  'ad-group': 'adGroupId',
  campaign: 'campaignId',
  product: 'productId',
};

async function swathReader(
  accountId: number,
  { lens, conditions, from, to }: RuleSwath,
  index: TreeIndex,
  on?: Day,
): Promise<InRule> {
  const { grain, entity } = lensNamed(lens);
  const window = from === null || to === null ? {} : { from, to };
  const sums = await loadFieldSums({ account: accountId, grain, ...window }, on);
  const { table, rows } = meetRows(lens, index, sums, readConditions(conditions));
  const column = HELD_BY[entity];
  if (column) {
    const held = new Set(rows.map((row) => table[column][row]));
    return ({ place }) => held.has(place[column]);
  }
  const own = new Set(
    rows.map((row) =>
      entity === 'term'
        ? `term ${table.adGroupId[row]}:${table.part[row]}`
        : `${entity} ${table.targetId[row]}`,
    ),
  );
  return ({ kind, id }) => own.has(`${kind} ${id}`);
}
