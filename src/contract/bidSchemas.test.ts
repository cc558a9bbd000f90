import { expect, test } from 'vitest';
import { settingsOf, USUAL_CHOICES } from '../core/bids';
import { USUAL_LIMITS } from '../core/changes';
import { aheadOf, roundSettings } from '../plans/bids';
import { placementSettings } from '../plans/placements';
import { bidBudgetsRequest, bidPlacementsRequest, bidPlanRequest } from './bidSchemas';
import { USUAL_PLAN_CHOICES } from './choices';

const cap = { kind: 'campaign' as const, id: 7, cap: 5_000_000 };
const bids = { ...USUAL_CHOICES, testCap: 2_000_000, testCaps: [cap] };
const money = {
  means: 'money' as const,
  month: 9_000_000,
  over: 1.2,
  byBids: [{ campaignId: 7, perDay: 5_000_000 }],
};

// What pages, scripts and nights plan at has to be taken exactly as it is: a value that is dropped is another plan.
test.each([
  ['the usual ones', roundSettings(USUAL_PLAN_CHOICES, USUAL_LIMITS, aheadOf([]))],
  ['with nothing of the tray', roundSettings(USUAL_PLAN_CHOICES, USUAL_LIMITS)],
  ['with caps of tests, and money', roundSettings({ bids, money }, USUAL_LIMITS, aheadOf([]))],
  ['of a market with one price', settingsOf(USUAL_CHOICES, { ...USUAL_LIMITS, minBid: 9000, maxBid: 9000 })],
  ['of placements', placementSettings(settingsOf(bids, USUAL_LIMITS), { modifiers: ['top'] })],
  [
    'with what was decided ahead',
    {
      ...roundSettings(USUAL_PLAN_CHOICES, USUAL_LIMITS),
      ahead: {
        bids: [[4, 500_000]],
        modifiers: [[7, 0, 0.3]],
        budgets: [[7, 30_000_000]],
        schedules: [[7, 0.9, 0.95]],
      },
    },
  ],
])('settings are taken as they are sent: %s', (_, settings) => {
  for (const request of [bidPlanRequest, bidPlacementsRequest])
    expect(request.validate({ account: 1, settings })).toEqual({ value: { account: 1, settings } });
  const budgets = { account: 1, settings, locks: [[7, 20_000_000]] };
  expect(bidBudgetsRequest.validate(budgets)).toEqual({ value: budgets });
});

test('settings that are none are refused, with where and what', () => {
  const { error } = bidPlanRequest.validate(
    {
      account: 1,
      settings: { ...settingsOf(USUAL_CHOICES, USUAL_LIMITS), aim: 'most', leastMove: -1 },
    },
    { abortEarly: false },
  );
  expect(error!.details.map(({ path }) => path.join('.'))).toEqual(['settings.aim', 'settings.leastMove']);
});
