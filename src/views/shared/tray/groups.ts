import { group } from 'd3-array';
import { formatCount, formatShare } from '../../../core/units';
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

/** Campaigns that are named when a large tray is told in a sentence. */
const TOLD = 10;

/** A large tray in a sentence: what is done how often, and how much of the money lies in few campaigns. */
export function trayWords(kinds: readonly ChangeGroup[], campaigns: readonly ChangeGroup[]): string {
  const many = [...kinds]
    .sort((a, b) => b.changes.length - a.changes.length)
    .map(({ name, changes }, at) => `${at === 0 ? name : name.toLowerCase()} ${formatCount(changes.length)}`);
  const sum = (list: readonly ChangeGroup[]) => list.reduce((all, { effect }) => all + weight(effect), 0);
  const [few, whole] = [sum(campaigns.slice(0, TOLD)), sum(campaigns)];
  const share =
    campaigns.length > TOLD && whole > 0
      ? `; the first ${TOLD} of them move ${formatShare(few / whole, 0)} of the money`
      : '';
  const places = `${formatCount(campaigns.length)} ${campaigns.length === 1 ? 'campaign' : 'campaigns'}`;
  return `${many.join(', ')}, in ${places}${share}.`;
}
