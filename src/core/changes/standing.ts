import type { PlaceState, State } from '../structure';
import type { Day, Micros } from '../units';
import type { Made, Named } from './named';

/** What changes name, as it stands now. Money in micros, modifiers as shares; null: not known. */
export interface CampaignNow {
  id: number;
  name: string;
  state: PlaceState;
  budget: Micros | null;
  top: number;
  rest: number;
  pages: number;
  pacing: string | null;
  flex: string | null;
  similar: string | null;
  startsOn: Day | null;
  endsOn: Day | null;
  /** Name of the schedule that it follows; null without one. */
  schedule: string | null;
}

export interface AdGroupNow {
  id: number;
  campaignId: number;
  name: string;
  state: PlaceState;
  defaultBid: Micros | null;
  /** Of its own; null: it spends from its campaign's. */
  budget: Micros | null;
  startsOn: Day | null;
  endsOn: Day | null;
}

export interface AdNow {
  id: number;
  adGroupId: number;
  /** As `partsText` writes them; null: its product's own. */
  parts: string | null;
  state: State;
}

export interface TargetNow {
  id: number;
  adGroupId: number;
  expression: string;
  state: State;
  bid: Micros | null;
}

export interface NegativeNow {
  id: number;
  campaignId: number;
  adGroupId: number | null;
  expression: string;
  state: State;
}

export interface ScheduleNow {
  id: number;
  campaignId: number;
  name: string;
  /** As core/schedules writes a week. */
  week: string;
  state: State;
}

/** Entities of an account by their ids. */
export interface Entities {
  campaigns: ReadonlyMap<number, CampaignNow>;
  adGroups: ReadonlyMap<number, AdGroupNow>;
  ads: ReadonlyMap<number, AdNow>;
  targets: ReadonlyMap<number, TargetNow>;
  negatives: ReadonlyMap<number, NegativeNow>;
  schedules: ReadonlyMap<number, ScheduleNow>;
}

/** What stands now where a change is made. */
export interface Standing {
  campaign: CampaignNow | null;
  adGroup: AdGroupNow | null;
  ad: AdNow | null;
  target: TargetNow | null;
  negative: NegativeNow | null;
  schedule: ScheduleNow | null;
  /** State of what it made. */
  made: State | null;
}

/** What stands where a change is made: what it names, and what that stands in. */
export function standingOf(
  named: Named,
  made: Made,
  { campaigns, adGroups, ads, targets, negatives, schedules }: Entities,
): Standing {
  const found = <T>(map: ReadonlyMap<number, T>, id: number | null | undefined) =>
    (id == null ? undefined : map.get(id)) ?? null;
  const target = found(targets, named.target);
  const ad = found(ads, named.ad);
  const negative = found(negatives, named.negative);
  const schedule = found(schedules, named.schedule);
  const adGroup = found(adGroups, named.adGroup ?? target?.adGroupId ?? negative?.adGroupId);
  const campaign = found(campaigns, named.campaign ?? adGroup?.campaignId ?? negative?.campaignId);
  const madeOne =
    found(targets, made.targetId) ?? found(negatives, made.negativeId) ?? found(schedules, made.scheduleId);
  return { campaign, adGroup, ad, target, negative, schedule, made: madeOne?.state ?? null };
}

/** Whether the campaign, the ad group and the target that a change stands in run. */
export const isRunning = ({ campaign, adGroup, target }: Standing): boolean =>
  [campaign, adGroup, target].every((one) => one === null || one.state === 'enabled');
