// What is put aside: proposals that are not to come up again before a day.

/** How a proposal can be put aside: left as it is, put off, or a loss that is accepted (with a note). */
export const ASIDE_VERDICTS = ['left', 'later', 'accepted-loss'] as const;
export type AsideVerdict = (typeof ASIDE_VERDICTS)[number];

/** The queue of all steps that tune bids; steps that go through search terms have one each, of their name. */
export const BID_QUEUE = 'bids';

export interface Aside {
  queue: string;
  /** What it is in words: see targetSubject and termSubject. */
  subject: string;
  verdict: AsideVerdict;
  until: string;
  note: string;
}

/** A loss that is accepted for a time, and what became of it. Money in micros. */
export interface LossInfo {
  subject: string;
  /** What it is of, in words, and where it lives. */
  name: string;
  place: string;
  note: string;
  from: string;
  /** The first day on which it no longer holds. */
  until: string;
  /** A loss above this in 30 days ends it; null: whatever it is. */
  most: number | null;
  endedOn: string | null;
  state: LossState;
  /** Spend − target ACOS × sales since it was accepted, and over the last 30 settled days: below zero it was a gain. Null: no such days yet. */
  cost: number | null;
  cost30: number | null;
  /** Organic rank over the week before it was accepted, and over the last: 0 beyond the last page, null not told. */
  rankBefore: number | null;
  rankNow: number | null;
  /** Sales without ads of its product a month, before and since; null where they are not known. */
  organicBefore: number | null;
  organicNow: number | null;
}

/** `over`: it lost more than was accepted, so bids are proposed again; `soon`: it ends within a week. */
export const LOSS_STATES = ['standing', 'soon', 'over', 'ended'] as const;
export type LossState = (typeof LOSS_STATES)[number];

/** Accepts losses or accepts them anew, ends them, or ends them and stages the bids that are proposed without them. */
export interface LossRequest {
  account: number;
  subjects: string[];
  does: 'accept' | 'end' | 'bid';
  until?: string;
  note?: string;
  most?: number | null;
}

/** What came of it. */
export interface LossAnswer {
  count: number;
  /** Changes that were staged. */
  staged: (number | null)[];
}

/** Puts subjects aside, or takes them back. Without `until` the usual time: 30 days for left, 7 for later, 60 for an accepted loss. */
export interface AsideRequest {
  account: number;
  queue: string;
  subjects: string[];
  verdict: AsideVerdict | 'back';
  until?: string;
  note?: string;
  /** Of an accepted loss: the most in 30 days, micros; null: whatever it is. */
  most?: number | null;
}

export const targetSubject = (targetId: number): string => `target ${targetId}`;
/** A search term in the ad group where it ran. */
export const termSubject = (adGroupId: number, termId: number): string =>
  `ad-group-term ${adGroupId} ${termId}`;

/** A product's search term, wherever it is bid on. */
export const productTermSubject = (productId: number, termId: number): string =>
  `product-term ${productId} ${termId}`;

/** A campaign, in the queue of a step that goes over campaigns. */
export const campaignSubject = (campaignId: number): string => `campaign ${campaignId}`;

/** The ids that a subject names, in their order. */
export const idsOfSubject = (subject: string): number[] => subject.split(' ').slice(1).map(Number);
