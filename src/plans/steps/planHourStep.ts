import type { MarketLimits } from '../../core/changes';
import { buildLens } from '../../core/lenses';
import type { TreeIndex } from '../../core/structure';
import type { FieldSumsAnswer } from '../../contract/api';
import type { ScheduleRow } from '../../contract/schedules';
import { keptLens, toGrainSums } from '../field';
import { arrangeCampaigns } from '../campaigns';
import { hourReason, scheduleStake, wantsOf } from '../hours';
import { plannedCampaign } from './planned';
import type { Planned } from './planned';

/** What the step of hours is planned from. */
export interface HourStepParts {
  /** Its targets are not needed, and the sums are those of ad groups. */
  index: TreeIndex;
  sums: FieldSumsAnswer;
  rows: readonly ScheduleRow[];
  limits: MarketLimits;
  /** Campaigns whose schedule has a change in the tray or under way, and those put aside. */
  staged: number[];
  aside: number[];
}

/** What is proposed for the account's hours, the most sales to win first. */
export function planHourStep({ index, sums, rows, limits, staged, aside }: HourStepParts): Planned[] {
  const lens = keptLens(1, buildLens('campaigns', index, toGrainSums(sums).grainSums), index);
  const { table } = lens;
  const byId = new Map(rows.map((row) => [row.campaignId, row]));
  const at = Array.from(table.campaignId, (id) => byId.get(id));
  const arranged = arrangeCampaigns(
    lens,
    { show: 'proposed', conditions: [], sort: null, staged, aside },
    at.map((row) => (row ? scheduleStake(row) : 0)),
    (row) => at[row]?.left === null,
  );
  return Array.from(arranged.rows).flatMap((place): Planned[] => {
    const row = at[place]!;
    const changes = wantsOf(row, limits);
    if (changes.length === 0) return [];
    const said = { from: null, to: null, reason: hourReason(row) };
    const months = { now: { ...row.now, clicks: 0 }, after: { ...row.after, clicks: 0 } };
    const planned = plannedCampaign(table, place, months, changes, said);
    // A schedule moves clicks to other hours: how many there are is not told.
    const expected = { ...planned.told.expected, clicks: null };
    return [{ ...planned, told: { ...planned.told, expected } }];
  });
}
