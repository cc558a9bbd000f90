import type { AccountTreeColumns } from '../../contract/field';
import type { ReviewColumns, ReviewData } from '../../contract/review';
import { stoodBefore } from '../../core/changes';
import type { AcceptedChange } from '../../core/changes';
import { toTargets } from '../../core/structure';
import type { AccountTree, Target, TargetColumns } from '../../core/structure';

/** The accepted changes since a day that is past, in their order; none: as everything stands now. */
export type Since = readonly AcceptedChange[];

/** Targets travel as columns, as they stand now; here they are as they stood before some changes. */
const targetsBefore = (columns: TargetColumns, since: Since = []): Target[] => {
  const targets = toTargets(columns);
  return since.length === 0 ? targets : stoodBefore(since).of('target', targets);
};

/** An account's tree with its targets, as they stood. The rest of it stands as it did already. */
export const treeBefore = ({ targets, ...tree }: AccountTreeColumns, since?: Since): AccountTree => ({
  ...tree,
  targets: targetsBefore(targets, since),
});

/** The same of what a review of search terms needs. */
export const reviewBefore = ({ structure, ...review }: ReviewColumns, since?: Since): ReviewData => ({
  ...review,
  structure: { ...structure, targets: targetsBefore(structure.targets, since) },
});
