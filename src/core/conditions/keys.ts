import type { MeasureKey } from '../measures';

/** What a number field is about, beyond the measures themselves. */
export type ExtraKey =
  | 'bid'
  | 'targetAcos'
  | 'vsTarget'
  | 'loss'
  | 'breakEvenLoss'
  | 'profit'
  | 'age'
  | 'totalSales'
  | 'organicSales'
  | 'tacos';
/** What only a plan of bids knows of a row. */
export type PlanKey =
  | 'plan.dry'
  | 'plan.to'
  | 'plan.step'
  | 'plan.wanted'
  | 'plan.chance'
  | 'plan.profit'
  | 'plan.learnt';
/** What only the list of organic ranks knows of a row. */
export type RankKey =
  | 'rank.now'
  | 'rank.before'
  | 'rank.up'
  | 'rank.change'
  | 'rank.searches'
  | 'rank.spendChange'
  | 'rank.organic'
  | 'rank.adShare'
  | 'rank.holdCost'
  | 'rank.holds'
  | 'rank.holdPays'
  | 'rank.gainCost'
  | 'rank.gains'
  | 'rank.gainPays';
/** A number of a row: a measure, the move of a measure against the window before ("d.spend"), or something known of the row. */
export type NumberKey = MeasureKey | `d.${MeasureKey}` | ExtraKey | PlanKey | RankKey;
/** A text of a row; `term` is the name of a row that is a search term. */
export type TextKey = 'term' | 'name' | 'place' | 'product' | 'line';
/** Something a row is one of. */
export type ChoiceKey =
  | 'kind'
  | 'state'
  | 'standing'
  | 'evidence'
  | 'termKind'
  | 'seen'
  | 'judged'
  | 'running'
  | 'campaignState'
  | 'chosen'
  | 'flex'
  | 'aim'
  | 'coreTerm'
  | 'lossAccepted';
