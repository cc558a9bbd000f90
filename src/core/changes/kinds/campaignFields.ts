import type { Day } from '../../units';

/** What a campaign is made with beside its name and budget. Modifiers as shares. */
export interface CampaignFields {
  budgetKind: 'daily' | 'lifetime';
  pacing: 'even' | 'fast';
  flex: 'fixed' | 'down only' | 'both ways';
  /** Whether it also stands in searches for similar categories. */
  similar: 'on' | 'off';
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
export const SIMILAR = ['on', 'off'] as const;
export const FLEXES = ['fixed', 'down only', 'both ways'] as const;

/** What a market gives a campaign of which nothing else is said. */
export const USUAL_CAMPAIGN: CampaignFields = {
  budgetKind: 'daily',
  pacing: 'even',
  flex: 'fixed',
  similar: 'on',
  startsOn: null,
  endsOn: null,
  top: 0,
  rest: 0,
  pages: 0,
  state: 'enabled',
};
