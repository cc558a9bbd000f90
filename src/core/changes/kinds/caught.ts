import type { ChangedPlace, Touch } from './spec';

/** A negative works on the target that caught its term, else on all of its ad group or campaign. */
export function touchesCaught(_: unknown, { caughtBy, adGroupId, campaignId }: ChangedPlace): Touch {
  if (caughtBy !== null) return { target: caughtBy };
  if (adGroupId !== null) return { adGroup: adGroupId };
  return campaignId === null ? null : { campaign: campaignId };
}
