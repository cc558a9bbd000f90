import { group } from 'd3-array';
import { groupOf, sumExpected } from '../../../core/changes';
import type { Effect } from '../../../core/changes';
import type { ChangeInfo } from '../../../contract/changes';

export type Grouping = 'campaign' | 'kind';

/** Changes that stand together in the tray. */
export interface ChangeGroup {
  name: string;
  changes: ChangeInfo[];
  effect: Effect;
}

/** Staged changes in groups, those that move the most money first; without any claimed, the most changes. */
export function groupChanges(changes: readonly ChangeInfo[], by: Grouping): ChangeGroup[] {
  return [...group(changes, (one) => (by === 'kind' ? groupOf(one.change) : one.campaign))]
    .map(([name, list]) => ({ name, changes: list, effect: sumExpected(list.map(({ effect }) => effect)) }))
    .sort(
      (a, b) =>
        weight(b.effect) - weight(a.effect) ||
        b.changes.length - a.changes.length ||
        a.name.localeCompare(b.name),
    );
}

const weight = ({ spend, sales }: Effect) => Math.abs(spend) + Math.abs(sales);
