import type { Change } from '../changes';

/** Targets by what they stand in: ids of ours -> places in a list. */
export interface TargetPlaces {
  byTarget: (id: number) => number | undefined;
  byAdGroup: (id: number) => readonly number[];
  byCampaign: (id: number) => readonly number[];
}

/** Where a change was made, beyond what it names itself. */
export interface ChangedPlace {
  campaignId: number | null;
  adGroupId: number | null;
  madeTargetId: number | null;
  /** The target that caught the term of a negative, where one is known. */
  caughtBy: number | null;
}

/**
 * The targets that a change works on: itself for a bid, all of an ad group or campaign for what is set there, for a negative those that
 * caught its term.
 */
export function touchedTargets(
  change: Change,
  { campaignId, adGroupId, madeTargetId, caughtBy }: ChangedPlace,
  places: TargetPlaces,
): readonly number[] {
  const one = (id: number | null) => {
    const place = id === null ? undefined : places.byTarget(id);
    return place === undefined ? [] : [place];
  };
  switch (change.kind) {
    case 'set-bid':
    case 'archive-target':
      return one(change.targetId);
    case 'add-keyword':
    case 'add-item-target':
      return one(madeTargetId);
    case 'set-budget':
    case 'set-modifier':
      return places.byCampaign(change.campaignId);
    case 'set-state':
      return change.entity === 'target'
        ? one(change.id)
        : change.entity === 'campaign'
          ? places.byCampaign(change.id)
          : places.byAdGroup(change.id);
    // What was just made has no past to be compared with.
    case 'add-campaign':
    case 'add-ad-group':
    case 'add-ad':
    case 'archive-place':
      return [];
    case 'add-negative':
    case 'archive-negative':
      if (caughtBy !== null) return one(caughtBy);
      return adGroupId !== null
        ? places.byAdGroup(adGroupId)
        : campaignId !== null
          ? places.byCampaign(campaignId)
          : [];
  }
}

/** The sorts of changes that are told apart when it is asked which of them worked, in words. */
export const CHANGE_SORTS = {
  dead: 'Dead spend: bids down or paused',
  over: 'Overpaying: bids down',
  grow: 'Room to grow: bids up',
  harvest: 'Harvest: new keywords and targets',
  negatives: 'Negatives',
  down: 'Bids down by hand',
  up: 'Bids up by hand',
  state: 'Paused or resumed by hand',
  budget: 'Budgets',
  modifier: 'Placement modifiers',
  made: 'Campaigns and ad groups made',
  other: 'Ended, lifted and undone',
} as const;
export type ChangeSort = keyof typeof CHANGE_SORTS;

/** Which sort a change is. @param step the step of the round that it came from */
export function sortOfChange(change: Change, step: string | undefined, isUndo: boolean): ChangeSort {
  if (isUndo) return 'other';
  switch (change.kind) {
    case 'add-keyword':
    case 'add-item-target':
      return 'harvest';
    case 'add-negative':
      return step === 'harvest' ? 'harvest' : 'negatives';
    case 'set-bid':
      if (step === 'dead' || step === 'over' || step === 'grow') return step;
      return change.from !== null && change.to < change.from ? 'down' : 'up';
    case 'set-state':
      return step === 'dead' ? 'dead' : 'state';
    case 'set-budget':
      return 'budget';
    case 'set-modifier':
      return 'modifier';
    case 'add-campaign':
    case 'add-ad-group':
    case 'add-ad':
      return 'made';
    case 'archive-place':
    case 'archive-target':
    case 'archive-negative':
      return 'other';
  }
}
