import { addAd } from './addAd';
import { addAdGroup } from './addAdGroup';
import { addAutoTarget } from './addAutoTarget';
import { addCampaign } from './addCampaign';
import { addItemTarget } from './addItemTarget';
import { addKeyword } from './addKeyword';
import { addNegative } from './addNegative';
import { addRefinedTarget } from './addRefinedTarget';
import { addSchedule } from './addSchedule';
import { archiveAd } from './archiveAd';
import { archiveNegative } from './archiveNegative';
import { archivePlace } from './archivePlace';
import { archiveTarget } from './archiveTarget';
import { endSchedule } from './endSchedule';
import { setAdGroupBudget } from './setAdGroupBudget';
import { setAdGroupDay } from './setAdGroupDay';
import { setAdParts } from './setAdParts';
import { setBid } from './setBid';
import { setBudget } from './setBudget';
import { setDay } from './setDay';
import { setFlex } from './setFlex';
import { setModifier } from './setModifier';
import { setName } from './setName';
import { setPacing } from './setPacing';
import { setSchedule } from './setSchedule';
import { setSimilar } from './setSimilar';
import { setState } from './setState';
import type { ChangeSpec } from './spec';

/** Every kind of change there is. A new one is a file beside these and a line here. */
export const KINDS = {
  'add-keyword': addKeyword,
  'add-item-target': addItemTarget,
  'add-refined-target': addRefinedTarget,
  'add-auto-target': addAutoTarget,
  'add-negative': addNegative,
  'set-bid': setBid,
  'set-state': setState,
  'set-budget': setBudget,
  'set-ad-group-budget': setAdGroupBudget,
  'set-modifier': setModifier,
  'set-name': setName,
  'set-day': setDay,
  'set-pacing': setPacing,
  'set-flex': setFlex,
  'set-similar': setSimilar,
  'set-ad-group-day': setAdGroupDay,
  'set-ad-parts': setAdParts,
  'add-schedule': addSchedule,
  'set-schedule': setSchedule,
  'end-schedule': endSchedule,
  'add-campaign': addCampaign,
  'add-ad-group': addAdGroup,
  'add-ad': addAd,
  'archive-ad': archiveAd,
  'archive-place': archivePlace,
  'archive-target': archiveTarget,
  'archive-negative': archiveNegative,
};

type ChangeIn<S> = S extends ChangeSpec<infer C, infer _I> ? C : never;

/**
 * One change to an account, a frozen value: what is to be done, never how. The app keeps it, the market
 * carries it out, undoing it is another value. `from` is what stood there when it was decided.
 */
export type Change = ChangeIn<(typeof KINDS)[keyof typeof KINDS]>;
export type ChangeKind = Change['kind'];

/** Each kind stands under its own name, and what undoes a change is a change. */
KINDS satisfies { [K in ChangeKind]: { kind: K; inverse: (...args: never[]) => Change | null } };

/** What is known of the kind of a change. */
export const specOf = (change: Change): ChangeSpec<Change> =>
  KINDS[change.kind] as unknown as ChangeSpec<Change>;

/** The kinds of which something holds. */
export function kindsThat(holds: (spec: ChangeSpec<Change>) => boolean): ChangeKind[] {
  return (Object.values(KINDS) as unknown as ChangeSpec<Change>[]).filter(holds).map(({ kind }) => kind);
}
