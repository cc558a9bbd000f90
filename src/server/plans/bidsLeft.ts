import { BID_QUEUE } from '../../contract/aside';
import { isBidStep } from '../../contract/review';
import { unpack } from '../../contract/packed';
import { BID_STEPS } from '../../core/bids';
import type { TargetPlan } from '../../core/bids';
import { aheadOf, pendingTargets, roundSettings } from '../../plans/bids';
import { accountInfo, needAccount } from '../accounts/accounts';
import { loadBidPlan } from '../bids/askBids';
import { asideOf, pendingOf } from './asItStands';

/** Plans the account's bids at its own choices and from what is in the tray, as the round does. */
export async function usualBidPlan(accountId: number): Promise<ArrayBuffer> {
  const { choices, limits } = accountInfo(await needAccount(accountId));
  return loadBidPlan(accountId, roundSettings(choices, limits, aheadOf(await pendingOf(accountId, {}))));
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
