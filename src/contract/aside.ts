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

/** Puts subjects aside, or takes them back. Without `until` the usual time: 30 days for left, 7 for later, 60 for an accepted loss. */
export interface AsideRequest {
  account: number;
  queue: string;
  subjects: string[];
  verdict: AsideVerdict | 'back';
  until?: string;
  note?: string;
}

export const targetSubject = (targetId: number): string => `target ${targetId}`;
/** A search term in the ad group where it ran. */
export const termSubject = (adGroupId: number, termId: number): string =>
  `ad-group-term ${adGroupId} ${termId}`;

/** A campaign, in the queue of a step that goes over campaigns. */
export const campaignSubject = (campaignId: number): string => `campaign ${campaignId}`;

/** The ids that a subject names, in their order. */
export const idsOfSubject = (subject: string): number[] => subject.split(' ').slice(1).map(Number);
