/** The entities that a change names, by our ids. They have to be there for it to make sense. */
export interface Named {
  campaign?: number;
  adGroup?: number;
  ad?: number;
  target?: number;
  negative?: number;
  product?: number;
  schedule?: number;
}

/** What became of an accepted change in the account: the target, negative or schedule it made. */
export interface Made {
  targetId: number | null;
  negativeId: number | null;
  scheduleId: number | null;
}

/** Of a change that made none of these. */
export const NOTHING_MADE: Made = { targetId: null, negativeId: null, scheduleId: null };
