import type { Day } from '../../units';

/** What a campaign is made with beside its name and budget. Modifiers as shares. */
export interface CampaignFields {
  budgetKind: 'daily' | 'lifetime';
  pacing: 'even' | 'fast';
  flex: 'fixed' | 'down only' | 'both ways';
  /** Null: the market's present day. */
  startsOn: Day | null;
  /** Null: without an end. */
  endsOn: Day | null;
  top: number;
  rest: number;
  pages: number;
  state: 'enabled' | 'paused';
}

export const PACINGS = ['even', 'fast'] as const;
export const FLEXES = ['fixed', 'down only', 'both ways'] as const;

/** What a market gives a campaign of which nothing else is said. */
export const USUAL_CAMPAIGN: CampaignFields = {
  budgetKind: 'daily',
  pacing: 'even',
  flex: 'fixed',
  startsOn: null,
  endsOn: null,
  top: 0,
  rest: 0,
  pages: 0,
  state: 'enabled',
};
