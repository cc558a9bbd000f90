import { touchOf } from '../changes';
import type { Change, ChangedPlace } from '../changes';

/** Targets by what they stand in: ids of ours -> places in a list. */
export interface TargetPlaces {
  byTarget: (id: number) => number | undefined;
  byAdGroup: (id: number) => readonly number[];
  byCampaign: (id: number) => readonly number[];
}

/** The targets that a change works on: itself for a bid, all of an ad group or campaign for what is set there. */
export function touchedTargets(change: Change, place: ChangedPlace, places: TargetPlaces): readonly number[] {
  const touch = touchOf(change, place);
  if (touch === null) return [];
  if ('adGroup' in touch) return places.byAdGroup(touch.adGroup);
  if ('campaign' in touch) return places.byCampaign(touch.campaign);
  const at = touch.target === null ? undefined : places.byTarget(touch.target);
  return at === undefined ? [] : [at];
}
