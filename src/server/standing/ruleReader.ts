import { lensNamed } from '../../core/lenses';
import type { Rule, RuleSwath, Subject } from '../../core/rules';
import { isInScope } from '../../core/structure';
import type { Place } from '../../core/structure';
import type { Day } from '../../core/units';
import { readConditions } from '../../plans/byHand';
import { askField } from '../field/askField';
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
  on?: Day,
): Promise<InRule> {
  const { kind, id } = scope;
  if (kind !== 'swath') return ({ place }) => isInScope(kind, id, place);
  return swath === null ? () => false : swathReader(accountId, swath, on);
}

async function swathReader(
  accountId: number,
  { lens, conditions, from, to }: RuleSwath,
  on?: Day,
): Promise<InRule> {
  const { grain } = lensNamed(lens);
  const window = from === null || to === null ? {} : { from, to };
  const sums = await loadFieldSums({ account: accountId, grain, ...window }, on);
  const found = await askField(
    accountId,
    'swath',
    { lens, sums, conditions: readConditions(conditions) },
    on,
  );
  if (found.column !== null) {
    const { column } = found;
    const ids = new Set(found.ids);
    return ({ place }) => ids.has(place[column]);
  }
  const own = new Set(found.own);
  return ({ kind, id }) => own.has(`${kind} ${id}`);
}
