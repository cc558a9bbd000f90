import { BID_QUEUE } from '../../contract/aside';
import { isBidStep } from '../../contract/review';
import { unpack } from '../../contract/packed';
import { BID_STEPS, PACES, settingsOf } from '../../core/bids';
import type { BidChoices, Pace, TargetPlan } from '../../core/bids';
import { aheadOf, pendingTargets, roundSettings } from '../../plans/bids';
import type { RoundSettings } from '../../plans/bids';
import { placementSettings } from '../../plans/placements';
import { accountInfo, needAccount } from '../accounts/accounts';
import { askBids, loadBidPlan, packedBids } from '../bids/askBids';
import { asideOf, pendingOf } from './asItStands';

/** The account's own choices, from what is in the tray, as the round has them. @param over what is chosen otherwise */
async function usualSettings(accountId: number, over: Partial<BidChoices> = {}): Promise<RoundSettings> {
  const { choices, limits } = accountInfo(await needAccount(accountId));
  const bids = { ...choices.bids, ...over };
  return roundSettings({ ...choices, bids }, limits, aheadOf(await pendingOf(accountId, {})));
}

/** Plans the account's bids at its own choices. */
export const usualBidPlan = async (accountId: number): Promise<ArrayBuffer> =>
  loadBidPlan(accountId, await usualSettings(accountId));

/** The same with its budgets. */
export const usualBudgets = async (accountId: number): Promise<ArrayBuffer> =>
  packedBids(accountId, 'budgets', { settings: await usualSettings(accountId), locks: [] });

/** Works the plans at the other paces out, one after another: whoever chooses one of them finds it ready. */
export async function planOtherPaces(accountId: number): Promise<void> {
  const { choices } = accountInfo(await needAccount(accountId));
  for (const pace of Object.keys(PACES) as Pace[])
    if (pace !== choices.bids.pace)
      await askBids(accountId, 'planAhead', { settings: await usualSettings(accountId, { pace }) });
}

/** What the round's step of placements proposes first. */
export async function usualPlacements(accountId: number): Promise<ArrayBuffer> {
  const { choices, limits, options } = accountInfo(await needAccount(accountId));
  const settings = placementSettings(settingsOf(choices.bids, limits), options);
  return packedBids(accountId, 'placements', { settings });
}

/** How many bids the round's steps propose to change, without what is staged or put aside. */
export async function bidsLeft(accountId: number): Promise<{ left: number }> {
  const [bytes, pending, aside] = await Promise.all([
    usualBidPlan(accountId),
    pendingOf(accountId, {}),
    asideOf(accountId, BID_QUEUE, {}),
  ]);
  const { step, targetIds } = unpack<TargetPlan>(bytes);
  const done = new Set([...pendingTargets(pending).keys(), ...aside.map(([targetId]) => targetId)]);
  let left = 0;
  step.forEach((one, at) => isBidStep(BID_STEPS[one]) && !done.has(targetIds[at]) && (left += 1));
  return { left };
}
