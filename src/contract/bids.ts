// What the steps that tune bids get from the server, and send to it.

/** How a target can be put aside. */
export const ASIDE_VERDICTS = ['left', 'later', 'accepted-loss'] as const;
export type AsideVerdict = (typeof ASIDE_VERDICTS)[number];

/** A target whose bid is not proposed until a day. */
export interface TargetAside {
  targetId: number;
  verdict: AsideVerdict;
  until: string;
  note: string;
}

/** Puts targets aside, or takes them back. Without `until` the usual time: 30 days for left, 7 for later, 60 for an accepted loss. */
export interface AsideRequest {
  account: number;
  targetIds: number[];
  verdict: AsideVerdict | 'back';
  until?: string;
  note?: string;
}
