/** What a target can stand on, from wide to narrow. */
export const GOAL_SCOPES = ['account', 'line', 'product', 'campaign', 'ad-group'] as const;
export type GoalScope = (typeof GOAL_SCOPES)[number];

/**
 * A target: an ACOS, or the profit margin that is to be left after ads. A value (low = high), or a range.
 * Shares: 0.24 is 24 %.
 */
export interface Goal {
  scope: GoalScope;
  /** Id of the line, product, campaign or ad group; 0 for the account. */
  scopeId: number;
  kind: 'acos' | 'margin';
  low: number;
  high: number;
}

/** Where something stands: what goals could count for it. Null where it has none. */
export interface GoalPlace {
  lineId: number | null;
  productId: number | null;
  campaignId: number | null;
  adGroupId: number | null;
}

/** The target ACOS that counts somewhere, and whose it is. */
export interface EffectiveGoal {
  /** Target ACOS, share; null when it hangs on a margin that is not known. */
  acos: number | null;
  /** The range it may move in. */
  low: number | null;
  high: number | null;
  goal: Goal;
}

/** Finds the goal that counts for a place: the nearest one. */
export type GoalFinder = (place: GoalPlace, margin: number | null) => EffectiveGoal;

/**
 * Prepares goals for look-ups. The ad group's counts before its campaign's, that before the product's, the line's, the
 * account's. A profit margin g asks for an ACOS of margin - g of the product (its margin before ads, as a share).
 * @param accountAcos what counts where nothing else is set
 */
export function goalFinder(goals: readonly Goal[], accountAcos: number): GoalFinder {
  const byScope = new Map(goals.map((goal) => [`${goal.scope} ${goal.scopeId}`, goal]));
  const usual: Goal = { scope: 'account', scopeId: 0, kind: 'acos', low: accountAcos, high: accountAcos };
  const at = (scope: GoalScope, id: number | null) =>
    id === null ? undefined : byScope.get(`${scope} ${id}`);
  return (place, margin) => {
    const goal =
      at('ad-group', place.adGroupId) ??
      at('campaign', place.campaignId) ??
      at('product', place.productId) ??
      at('line', place.lineId) ??
      at('account', 0) ??
      usual;
    return { ...acosOf(goal, margin), goal };
  };
}

/** The ACOS that a goal asks for: the middle of its range. With a margin, the more is to be left the lower it is. */
function acosOf({ kind, low, high }: Goal, margin: number | null): Omit<EffectiveGoal, 'goal'> {
  if (kind === 'acos') return { acos: (low + high) / 2, low, high };
  if (margin === null) return { acos: null, low: null, high: null };
  return { acos: margin - (low + high) / 2, low: margin - high, high: margin - low };
}
