import type { NewChange } from '../../contract/changes';
import type { CampaignFields, Change } from '../../core/changes';
import type { AdGroupNode, CampaignNode } from '../../core/structure';
import type { Day, Micros } from '../../core/units';

/** What is to be set on campaigns or ad groups by hand; what is missing stays as it is. */
export interface Settings {
  /** In their names: this text becomes that one. */
  find?: string;
  replace?: string;
  /** Null: an ad group’s none of its own. */
  startsOn?: Day | null;
  /** Null: without an end. */
  endsOn?: Day | null;
  pacing?: CampaignFields['pacing'];
  flex?: CampaignFields['flex'];
  similar?: CampaignFields['similar'];
  /** Of ad groups, micros; null: none of their own. */
  budget?: Micros | null;
}

/** What settings come to, before they are staged. */
export interface SettingsPlan {
  changes: NewChange[];
  /** Names before and after. */
  names: { from: string; to: string }[];
  /** Campaigns that have begun already: their first day stays. */
  begun: number;
  /** Names that would be empty, too long, or another one’s: they stay. */
  notNamed: string[];
}

type Place = ({ entity: 'campaign' } & CampaignNode) | ({ entity: 'ad-group' } & AdGroupNode);

const LONGEST_NAME = 200;

/**
 * Plans settings of some places by hand; only what differs is a change. Ended places and drafts stay as they are.
 * @param taken names of all campaigns that are not ended
 */
export function planSettings(
  places: readonly Place[],
  set: Settings,
  today: Day,
  taken: ReadonlySet<string>,
): SettingsPlan {
  const plan: SettingsPlan = { changes: [], names: [], begun: 0, notNamed: [] };
  const names = new Set(taken);
  const add = (change: Change) =>
    plan.changes.push({ change, reason: 'By hand.', figures: {}, effect: { spend: 0, sales: 0 } });
  for (const place of places) {
    if (place.state !== 'enabled' && place.state !== 'paused') continue;
    const { entity, id, name: from } = place;
    if (set.find) {
      const to = from
        .replaceAll(set.find, set.replace ?? '')
        .replace(/\s+/g, ' ')
        .trim();
      const isTaken = entity === 'campaign' && names.has(to);
      if (to !== from && (to === '' || to.length > LONGEST_NAME || isTaken)) plan.notNamed.push(from);
      else if (to !== from) {
        names.add(to);
        plan.names.push({ from, to });
        add({ kind: 'set-name', entity, id, from, to });
      }
    }
    if (place.entity !== 'campaign') {
      if (set.budget !== undefined && set.budget !== place.budget)
        add({ kind: 'set-ad-group-budget', adGroupId: id, from: place.budget, to: set.budget });
      for (const which of ['startsOn', 'endsOn'] as const) {
        const to = set[which];
        if (to !== undefined && to !== place[which])
          add({ kind: 'set-ad-group-day', adGroupId: id, which, from: place[which], to });
      }
      continue;
    }
    const campaignId = id;
    if (set.startsOn !== undefined && set.startsOn !== place.startsOn) {
      if (place.startsOn === null || place.startsOn <= today) plan.begun += 1;
      else add({ kind: 'set-day', campaignId, which: 'startsOn', from: place.startsOn, to: set.startsOn });
    }
    if (set.endsOn !== undefined && set.endsOn !== place.endsOn)
      add({ kind: 'set-day', campaignId, which: 'endsOn', from: place.endsOn, to: set.endsOn });
    if (set.pacing !== undefined && set.pacing !== place.pacing)
      add({
        kind: 'set-pacing',
        campaignId,
        from: place.pacing as CampaignFields['pacing'] | null,
        to: set.pacing,
      });
    if (set.similar !== undefined && set.similar !== place.similar)
      add({
        kind: 'set-similar',
        campaignId,
        from: place.similar as CampaignFields['similar'] | null,
        to: set.similar,
      });
    if (set.flex !== undefined && set.flex !== place.flex)
      add({ kind: 'set-flex', campaignId, from: place.flex as CampaignFields['flex'] | null, to: set.flex });
  }
  return plan;
}
