/** The entities that a change names, by our ids. They have to be there for it to make sense. */
export interface Named {
  campaign?: number;
  adGroup?: number;
  target?: number;
  negative?: number;
  product?: number;
}

/** What became of an accepted change in the account: the target or negative it made. */
export interface Made {
  targetId: number | null;
  negativeId: number | null;
}
