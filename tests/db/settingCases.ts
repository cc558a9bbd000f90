import type { Change, ChangeKind } from '../../src/core/changes';
import { partsText } from '../../src/core/changes';
import type { Case } from './kindCases';
import type { Shop } from './shop';

/** What a change sets is what stands. */
export const asIs = (change: Change) => ('to' in change ? change.to : null);

type SettingKind =
  | 'set-day'
  | 'set-pacing'
  | 'set-flex'
  | 'set-similar'
  | 'set-ad-group-budget'
  | 'set-ad-group-day'
  | 'set-ad-parts';

/** Examples of the kinds that set how campaigns, ad groups and ads run. @param anAd the end of an ad @param sent sends a change and waits for its answer */
export function settingCases(
  at: () => { shop: Shop },
  anAd: () => Promise<Extract<Change, { kind: 'archive-ad' }>>,
  sent: (change: Change) => Promise<void>,
): Record<SettingKind & ChangeKind, Case> {
  const setParts = async (): Promise<Change> => {
    const { adId, adGroupId } = await anAd();
    return {
      kind: 'set-ad-parts',
      adId,
      adGroupId,
      from: null,
      to: partsText({ titles: ['Crock with a lid', 'Keeps the cold in'], pictures: [] }),
    };
  };
  return {
    'set-day': {
      good: async () => ({
        kind: 'set-day',
        campaignId: at().shop.campaign,
        which: 'endsOn',
        from: null,
        to: '2098-12-31',
      }),
      stands: asIs,
      undoneBy: 'set-day',
      bad: async () => ({
        kind: 'set-day',
        campaignId: at().shop.campaign,
        which: 'startsOn',
        from: null,
        to: '2098-12-31',
      }),
    },
    'set-pacing': {
      good: async () => ({ kind: 'set-pacing', campaignId: at().shop.campaign, from: 'even', to: 'fast' }),
      stands: asIs,
      undoneBy: 'set-pacing',
      bad: null,
    },
    'set-flex': {
      good: async () => ({
        kind: 'set-flex',
        campaignId: at().shop.campaign,
        from: 'fixed',
        to: 'down only',
      }),
      stands: asIs,
      undoneBy: 'set-flex',
      bad: null,
    },
    'set-ad-group-budget': {
      good: async () => ({
        kind: 'set-ad-group-budget',
        adGroupId: at().shop.home,
        from: null,
        to: 3_000_000,
      }),
      stands: asIs,
      undoneBy: 'set-ad-group-budget',
      bad: async () => ({
        kind: 'set-ad-group-budget',
        adGroupId: at().shop.home,
        from: null,
        to: 900_000_000,
      }),
    },
    'set-similar': {
      good: async () => ({ kind: 'set-similar', campaignId: at().shop.campaign, from: 'on', to: 'off' }),
      stands: asIs,
      undoneBy: 'set-similar',
      bad: null,
    },
    'set-ad-group-day': {
      good: async () => ({
        kind: 'set-ad-group-day',
        adGroupId: at().shop.home,
        which: 'endsOn',
        from: null,
        to: '2098-12-31',
      }),
      stands: asIs,
      undoneBy: 'set-ad-group-day',
      bad: async () => ({
        kind: 'set-ad-group-day',
        adGroupId: at().shop.home,
        which: 'endsOn',
        from: null,
        to: '2020-01-01',
      }),
    },
    'set-ad-parts': {
      good: setParts,
      stands: asIs,
      undoneBy: 'set-ad-parts',
      bad: async () => {
        const change = await setParts();
        await sent(await anAd());
        return change;
      },
    },
  };
}
