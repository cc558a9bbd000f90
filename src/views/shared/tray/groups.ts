import { group } from 'd3-array';
import { sumEffects } from '../../../core/changes';
import type { Change, Effect } from '../../../core/changes';
import type { ChangeInfo } from '../../../contract/changes';

export type Grouping = 'campaign' | 'kind';

/** Changes that stand together in the tray. */
export interface ChangeGroup {
  name: string;
  changes: ChangeInfo[];
  effect: Effect;
}

/** The kinds of changes in the words of the tray. */
function kindWords(change: Change): string {
  switch (change.kind) {
    case 'set-bid':
      return change.from !== null && change.to < change.from ? 'Bids down' : 'Bids up';
    case 'set-state':
      return change.to === 'paused' ? 'Paused' : 'Resumed';
    case 'add-keyword':
      return 'New keywords';
    case 'add-item-target':
      return 'New item targets';
    case 'add-negative':
      return 'Negatives';
    case 'set-budget':
      return 'Budgets';
    case 'set-modifier':
      return 'Placement modifiers';
    case 'add-campaign':
    case 'add-ad-group':
    case 'add-ad':
      return 'Campaigns and ad groups';
    case 'archive-place':
    case 'archive-target':
    case 'archive-negative':
      return 'Ended and lifted';
  }
}

/** Staged changes in groups, those that move the most money first; without any claimed, the most changes. */
export function groupChanges(changes: readonly ChangeInfo[], by: Grouping): ChangeGroup[] {
  return [...group(changes, (one) => (by === 'kind' ? kindWords(one.change) : one.campaign))]
    .map(([name, list]) => ({ name, changes: list, effect: sumEffects(list.map(({ effect }) => effect)) }))
    .sort(
      (a, b) =>
        weight(b.effect) - weight(a.effect) ||
        b.changes.length - a.changes.length ||
        a.name.localeCompare(b.name),
    );
}

const weight = ({ spend, sales }: Effect) => Math.abs(spend) + Math.abs(sales);
