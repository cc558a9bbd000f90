import type { TermChoices } from '../../contract/choices';
import type { BidChoices } from '../../core/bids';
import type { Goal } from '../../core/goals';
import type { PlacementAsks } from '../../core/placements';
import type { Route } from '../../core/routes';
import type { AccountTree } from '../../core/structure';
import type { Day } from '../../core/units';

/** How a step is planned otherwise than the account's choices say. */
export interface PlanHow {
  bids?: Partial<BidChoices>;
  terms?: Partial<TermChoices>;
  /** A target in place of the one that its scope has. */
  goal?: Goal;
  /** Whether that target holds for everything, nearer ones too. */
  isGoalForAll?: boolean;
  /** What placements have to show, and how far their modifiers go. */
  placements?: PlacementAsks;
  /** Days that are looked at. */
  lookBack?: number;
  /** Where search terms come from (ad groups) and move to, in place of the account's own routes. */
  routes?: Route[];
  /** As on a day that is past, with what was known then. */
  on?: Day;
}

/** The tree with another target in one scope; nearer ones keep theirs, unless it holds for all. */
export const withGoal = <T extends Pick<AccountTree, 'goals'>>(tree: T, { goal, isGoalForAll }: PlanHow): T =>
  goal === undefined
    ? tree
    : {
        ...tree,
        goals: [
          ...tree.goals.filter(
            (one) => !isGoalForAll && (one.scope !== goal.scope || one.scopeId !== goal.scopeId),
          ),
          goal,
        ],
      };
