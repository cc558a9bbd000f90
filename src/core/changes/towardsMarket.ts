import type { KeywordMatch, NegativeMatch } from '../matching';
import type { Refinement } from '../structure';
import type { Micros } from '../units';

/** What a seller may set of an entity on a market, by the word under which the market lists it. Money in micros, modifiers as shares. */
export interface MarketFields {
  campaigns: {
    name: string;
    state: 'enabled' | 'paused';
    budget: Micros;
    budgetKind: 'daily' | 'lifetime';
    pacing: 'even' | 'fast';
    flex: 'fixed' | 'down only' | 'both ways';
    /** Whether it also stands in searches for similar categories. */
    similar: 'on' | 'off';
    startsOn: string;
    endsOn: string | null;
    top: number;
    rest: number;
    pages: number;
  };
  'ad-groups': {
    campaignId: string;
    name: string;
    state: 'enabled' | 'paused';
    defaultBid: Micros;
    /** A part of the campaign's budget, and days of its own; null where it has none. */
    budget: Micros | null;
    startsOn: string | null;
    endsOn: string | null;
  };
  ads: {
    adGroupId: string;
    productId: string;
    /** Shown in turn in place of the product's own; none: its own. Pictures by their ids. */
    titles: string[];
    pictures: string[];
    state: 'enabled' | 'paused';
  };
  targets: {
    adGroupId: string;
    kind: 'keyword' | 'item' | 'category' | 'brand' | 'auto';
    match: KeywordMatch | null;
    expression: string;
    refine: Refinement | null;
    bid: Micros | null;
    state: 'enabled' | 'paused';
  };
  negatives: {
    campaignId: string;
    adGroupId: string | null;
    match: NegativeMatch;
    expression: string;
  };
  /** Whole percents by hour of the week, -100 off. */
  schedules: { campaignId: string; name: string; week: number[] };
}

/** Kinds of entities that a seller can make and change. */
export type OwnKind = keyof MarketFields;

/** What a market is to do with one entity, its fields typed by the entity. */
export type MarketAct = {
  [E in OwnKind]:
    | { do: 'create'; entity: E; fields: Partial<MarketFields[E]> }
    | { do: 'update'; entity: E; id: string; fields: Partial<MarketFields[E]> }
    | { do: 'archive'; entity: E; id: string };
}[OwnKind];

/** A change as a market is told of it. `ref` comes back with the answer. */
export type MarketChange = MarketAct & { ref: string };

/** The market's ids of our entities; undefined for what it does not know. */
export interface MarketIds {
  campaign: (id: number) => string | undefined;
  adGroup: (id: number) => string | undefined;
  ad: (id: number) => string | undefined;
  target: (id: number) => string | undefined;
  negative: (id: number) => string | undefined;
  product: (id: number) => string | undefined;
  schedule: (id: number) => string | undefined;
}
