import { expect } from 'vitest';
import type { Change, ChangeKind } from '../../src/core/changes';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { db } from '../../src/server/context/context';
import { THIS_MACHINE } from '../../src/server/trail';
import { asIs, settingCases } from './settingCases';
import { because } from './shop';
import type { Shop } from './shop';

export interface Case {
  /** A change that the market takes; what it needs is made first. */
  good: () => Promise<Change>;
  /** What stands there once it is accepted. */
  stands: (change: Change) => number | string | null;
  /** What undoes it; null: it is final. */
  undoneBy: ChangeKind | null;
  /** One that it refuses; null where it never does while the thing is there. */
  bad: (() => Promise<Change>) | null;
}

/** An example of every kind of change, and what is done with it. @param at the shop that it is made in, once it is there, with a keyword of it and its bid */
export function kindCases(at: () => { shop: Shop; keyword: number; bid: number }) {
  const changesOf = async (ids: (number | null)[]) =>
    (await loadChanges(at().shop.account, {})).filter(({ id }) => ids.includes(id));

  async function stage(change: Change): Promise<number> {
    const [id] = await stageChanges(THIS_MACHINE, at().shop.account, [{ change, ...because }]);
    return id!;
  }

  /** Stages, sends, and tells what became of it. */
  async function sent(change: Change) {
    const id = await stage(change);
    await sendBale(THIS_MACHINE, at().shop.account, [id]);
    return (await changesOf([id]))[0];
  }

  let made = 0;
  const word = () => `kind test ${(made += 1)}`;
  const newKeyword = (): Change => ({
    kind: 'add-keyword',
    adGroupId: at().shop.home,
    expression: word(),
    match: 'phrase',
    bid: 400_000,
  });
  const newNegative = (): Change => ({
    kind: 'add-negative',
    campaignId: at().shop.campaign,
    adGroupId: null,
    match: 'exact',
    expression: word(),
  });

  const newRefined = () =>
    ({
      kind: 'add-refined-target',
      adGroupId: at().shop.home,
      aim: 'category',
      expression: word(),
      refine: { minPrice: 20_000_000, maxRating: 4.1 },
      against: { price: 20_000_000, rating: 4.1 },
      bid: 300_000,
    }) as const;

  /** The ad of an ad group; made again where a test has ended it. */
  async function anAd() {
    const ads = () => db()<{ adId: number; productId: number }[]>`
      select ad_id as "adId", product_id as "productId" from mowing.ad
      where account_id = ${at().shop.account} and ad_group_id = ${at().shop.home} and state = 'enabled' order by ad_id`;
    if ((await ads()).length === 0)
      await sent({ kind: 'add-ad', adGroupId: at().shop.home, productId: at().shop.product });
    return { kind: 'archive-ad', adGroupId: at().shop.home, ...(await ads())[0] } as const;
  }

  /** The campaign with the name that it has. */
  async function aName() {
    const [{ name }] = await db()<{ name: string }[]>`
    select name from mowing.campaign where account_id = ${at().shop.account} and campaign_id = ${at().shop.campaign}`;
    return { kind: 'set-name', entity: 'campaign', id: at().shop.campaign, from: name } as const;
  }

  const WEEKEND = '0*120 -20*48';
  const newSchedule = () =>
    ({ kind: 'add-schedule', campaignId: at().shop.campaign, name: word(), week: WEEKEND }) as const;

  /** The end of a schedule that the campaign follows. */
  async function anEnd() {
    const { id, change } = await sent(newSchedule());
    const { kind: _, ...rest } = change as ReturnType<typeof newSchedule>;
    return { ...rest, kind: 'end-schedule', scheduleId: await idOfMade(id) } as const;
  }

  const cases: Record<
    Exclude<ChangeKind, 'add-campaign' | 'add-ad-group' | 'add-ad' | 'archive-place'>,
    Case
  > = {
    'add-keyword': {
      good: async () => newKeyword(),
      stands: () => 'enabled',
      undoneBy: 'archive-target',
      bad: async () => ({ ...newKeyword(), expression: 'what!' }) as Change,
    },
    'add-item-target': {
      good: async () => ({
        kind: 'add-item-target',
        adGroupId: at().shop.home,
        expression: 'B0KINDTEST',
        bid: 300_000,
      }),
      stands: () => 'enabled',
      undoneBy: 'archive-target',
      bad: async () => ({
        kind: 'add-item-target',
        adGroupId: at().shop.home,
        expression: 'no code',
        bid: 300_000,
      }),
    },
    'add-refined-target': {
      good: async () => newRefined(),
      stands: () => 'enabled',
      undoneBy: 'archive-target',
      bad: async () => ({ ...newRefined(), refine: { minPrice: 30_000_000, maxPrice: 20_000_000 } }),
    },
    'add-auto-target': {
      good: async () => ({
        kind: 'add-auto-target',
        adGroupId: at().shop.home,
        expression: 'near searches',
        bid: 300_000,
      }),
      stands: () => 'enabled',
      undoneBy: 'archive-target',
      bad: async () => ({
        kind: 'add-auto-target',
        adGroupId: at().shop.home,
        expression: 'far searches',
        bid: 300_000,
      }),
    },
    'set-name': {
      good: async () => ({ ...(await aName()), to: word() }) as Change,
      stands: asIs,
      undoneBy: 'set-name',
      bad: null,
    },
    ...settingCases(
      at,
      async () => anAd(),
      async (change) => void (await sent(change)),
    ),
    'add-negative': {
      good: async () => newNegative(),
      stands: () => 'enabled',
      undoneBy: 'archive-negative',
      bad: async () => ({ ...newNegative(), expression: 'what!' }) as Change,
    },
    'set-bid': {
      good: async () => ({ kind: 'set-bid', targetId: at().keyword, from: at().bid, to: at().bid + 50_000 }),
      stands: asIs,
      undoneBy: 'set-bid',
      bad: async () => ({ kind: 'set-bid', targetId: at().keyword, from: at().bid, to: 1 }),
    },
    'set-state': {
      good: async () => ({
        kind: 'set-state',
        entity: 'target',
        id: at().keyword,
        from: 'enabled',
        to: 'paused',
      }),
      stands: asIs,
      undoneBy: 'set-state',
      bad: async () => {
        const { change, ...rest } = await sent(newKeyword());
        const id = await idOfMade(rest.id);
        await sent({ kind: 'archive-target', targetId: id });
        expect(change.kind).toBe('add-keyword');
        return { kind: 'set-state', entity: 'target', id, from: 'enabled', to: 'paused' };
      },
    },
    'set-budget': {
      good: async () => ({ kind: 'set-budget', campaignId: at().shop.campaign, from: null, to: 44_000_000 }),
      stands: asIs,
      undoneBy: null,
      bad: async () => ({ kind: 'set-budget', campaignId: at().shop.campaign, from: null, to: 1 }),
    },
    'set-modifier': {
      good: async () => ({
        kind: 'set-modifier',
        campaignId: at().shop.campaign,
        placement: 'top',
        from: 0,
        to: 0.35,
      }),
      stands: asIs,
      undoneBy: 'set-modifier',
      bad: null,
    },
    'add-schedule': {
      good: async () => newSchedule(),
      stands: () => 'enabled',
      undoneBy: 'end-schedule',
      bad: async () => ({ ...newSchedule(), week: '0*24' }) as Change,
    },
    'set-schedule': {
      good: async () =>
        ({ ...(await anEnd()), kind: 'set-schedule', from: WEEKEND, to: '-10*168' }) as Change,
      stands: asIs,
      undoneBy: 'set-schedule',
      bad: async () => {
        const { week: from, ...rest } = await anEnd();
        await sent({ ...rest, week: from });
        return { ...rest, kind: 'set-schedule', from, to: '-10*168' };
      },
    },
    'end-schedule': {
      good: async () => anEnd(),
      stands: () => 'archived',
      undoneBy: 'add-schedule',
      bad: null,
    },
    'archive-target': {
      good: async () => ({
        kind: 'archive-target',
        targetId: await idOfMade((await sent(newKeyword())).id),
      }),
      stands: () => 'archived',
      undoneBy: null,
      bad: async () => {
        const targetId = await idOfMade((await sent(newKeyword())).id);
        await sent({ kind: 'archive-target', targetId });
        return { kind: 'archive-target', targetId };
      },
    },
    'archive-ad': {
      good: async () => anAd(),
      stands: () => 'archived',
      undoneBy: 'add-ad',
      bad: async () => {
        const change = await anAd();
        await sent(change);
        return change;
      },
    },
    'archive-negative': {
      good: async () => ({
        kind: 'archive-negative',
        negativeId: await idOfMade((await sent(newNegative())).id),
      }),
      stands: () => 'archived',
      undoneBy: null,
      bad: async () => {
        const negativeId = await idOfMade((await sent(newNegative())).id);
        await sent({ kind: 'archive-negative', negativeId });
        return { kind: 'archive-negative', negativeId };
      },
    },
  };

  async function idOfMade(changeId: number): Promise<number> {
    const [row] = await db()<{ id: number }[]>`
    select coalesce(made_target_id, made_negative_id, made_schedule_id) as id from mowing.change where account_id = ${at().shop.account} and change_id = ${changeId}`;
    return row.id;
  }

  return { cases, changesOf, stage, sent, word, newKeyword, newNegative };
}
