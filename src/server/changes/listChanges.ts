import { entitiesOf, isRunning, presentOf, standingOf } from '../../core/changes';
import type { Entities, Made } from '../../core/changes';
import type { Query } from '../../db/connection';
import { listChangeRows } from '../../db/queries/changes';
import type { ChangeRow, ChangesAsked } from '../../db/queries/changes';
import { readEntities } from '../../db/queries/entitiesNow';
import type { EntityIds } from '../../db/queries/entitiesNow';

/** A change with what stands now where it is made. */
export interface StandingChange extends ChangeRow {
  campaignId: number | null;
  campaign: string | null;
  adGroupId: number | null;
  adGroup: string | null;
  /** What an archiving change ends, in words. */
  subject: string | null;
  /** What now stands where the change sets something: micros, a share, a state; for what it made or ends, its state. */
  present: number | string | null;
  /** Whether the campaign, the ad group and the target that it stands in run. */
  runs: boolean;
}

/** Changes of an account, oldest first, with what stands now where they are made. */
export async function listChanges(
  sql: Query,
  accountId: number,
  only: ChangesAsked,
  most?: number,
): Promise<StandingChange[]> {
  const rows = await listChangeRows(sql, accountId, only, most);
  const entities = await readEntities(sql, accountId, idsOf(rows));
  return rows.map((row) => withStanding(row, entities));
}

/** What an accepted change made. */
export const madeOf = ({ madeTargetId, madeNegativeId, madeScheduleId }: ChangeRow): Made => ({
  targetId: madeTargetId,
  negativeId: madeNegativeId,
  scheduleId: madeScheduleId,
});

function idsOf(rows: readonly ChangeRow[]): EntityIds {
  const ids: EntityIds = { campaigns: [], adGroups: [], ads: [], targets: [], negatives: [], schedules: [] };
  const add = (list: number[], id: number | null | undefined) => id != null && list.push(id);
  for (const { change, madeTargetId, madeNegativeId, madeScheduleId } of rows) {
    const { campaign, adGroup, ad, target, negative, schedule } = entitiesOf(change);
    add(ids.ads, ad);
    add(ids.campaigns, campaign);
    add(ids.adGroups, adGroup);
    add(ids.targets, target);
    add(ids.targets, madeTargetId);
    add(ids.negatives, negative);
    add(ids.negatives, madeNegativeId);
    add(ids.schedules, schedule);
    add(ids.schedules, madeScheduleId);
  }
  return ids;
}

function withStanding(row: ChangeRow, entities: Entities): StandingChange {
  const { change } = row;
  const standing = standingOf(entitiesOf(change), madeOf(row), entities);
  const { campaign, adGroup, target, negative } = standing;
  return {
    ...row,
    campaignId: campaign?.id ?? null,
    campaign: campaign?.name ?? null,
    adGroupId: adGroup?.id ?? null,
    adGroup: adGroup?.name ?? null,
    subject: target?.expression ?? negative?.expression ?? null,
    present: presentOf(change, standing),
    runs: isRunning(standing),
  };
}
