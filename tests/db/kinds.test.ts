import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { KINDS } from '../../src/core/changes';
import type { Change, ChangeKind } from '../../src/core/changes';
import { sendBale } from '../../src/server/changes/sendBale';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { stageChanges, stageIn } from '../../src/server/changes/stageChanges';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { closeContext, db } from '../../src/server/context/context';
import { makeHome } from '../../src/server/routes/makeHome';
import { listTargets } from '../../src/db/queries/structure';
import { aShop, because } from './shop';
import type { Shop } from './shop';

let shop: Shop;
let keyword: number;
let bid: number;

beforeAll(async () => {
  shop = await aShop();
  const target = (await listTargets(db(), shop.account)).find(
    ({ kind, adGroupId, bid: own }) => kind === 'keyword' && adGroupId === shop.home && own !== null,
  )!;
  keyword = target.id;
  bid = target.bid!;
}, 120_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const changesOf = async (ids: (number | null)[]) =>
  (await loadChanges(shop.account, {})).filter(({ id }) => ids.includes(id));

async function stage(change: Change): Promise<number> {
  const [id] = await stageChanges(THIS_MACHINE, shop.account, [{ change, ...because }]);
  return id!;
}

/** Stages, sends, and tells what became of it. */
async function sent(change: Change) {
  const id = await stage(change);
  await sendBale(THIS_MACHINE, shop.account, [id]);
  return (await changesOf([id]))[0];
}

let made = 0;
const word = () => `kind test ${(made += 1)}`;
const newKeyword = (): Change => ({
  kind: 'add-keyword',
  adGroupId: shop.home,
  expression: word(),
  match: 'phrase',
  bid: 400_000,
});
const newNegative = (): Change => ({
  kind: 'add-negative',
  campaignId: shop.campaign,
  adGroupId: null,
  match: 'exact',
  expression: word(),
});

const WEEKEND = '0*120 -20*48';
const newSchedule = () =>
  ({ kind: 'add-schedule', campaignId: shop.campaign, name: word(), week: WEEKEND }) as const;

/** The end of a schedule that the campaign follows. */
async function anEnd() {
  const { id, change } = await sent(newSchedule());
  const { kind: _, ...rest } = change as ReturnType<typeof newSchedule>;
  return { ...rest, kind: 'end-schedule', scheduleId: await idOfMade(id) } as const;
}

interface Case {
  /** A change that the market takes; what it needs is made first. */
  good: () => Promise<Change>;
  /** What stands there once it is accepted. */
  stands: (change: Change) => number | string | null;
  /** What undoes it; null: it is final. */
  undoneBy: ChangeKind | null;
  /** One that it refuses; null where it never does while the thing is there. */
  bad: (() => Promise<Change>) | null;
}

const asIs = (change: Change) => ('to' in change ? change.to : null);
const CASES: Record<
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
      adGroupId: shop.home,
      expression: 'B0KINDTEST',
      bid: 300_000,
    }),
    stands: () => 'enabled',
    undoneBy: 'archive-target',
    bad: async () => ({ kind: 'add-item-target', adGroupId: shop.home, expression: 'no code', bid: 300_000 }),
  },
  'add-negative': {
    good: async () => newNegative(),
    stands: () => 'enabled',
    undoneBy: 'archive-negative',
    bad: async () => ({ ...newNegative(), expression: 'what!' }) as Change,
  },
  'set-bid': {
    good: async () => ({ kind: 'set-bid', targetId: keyword, from: bid, to: bid + 50_000 }),
    stands: asIs,
    undoneBy: 'set-bid',
    bad: async () => ({ kind: 'set-bid', targetId: keyword, from: bid, to: 1 }),
  },
  'set-state': {
    good: async () => ({ kind: 'set-state', entity: 'target', id: keyword, from: 'enabled', to: 'paused' }),
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
    good: async () => ({ kind: 'set-budget', campaignId: shop.campaign, from: null, to: 44_000_000 }),
    stands: asIs,
    undoneBy: null,
    bad: async () => ({ kind: 'set-budget', campaignId: shop.campaign, from: null, to: 1 }),
  },
  'set-modifier': {
    good: async () => ({
      kind: 'set-modifier',
      campaignId: shop.campaign,
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
    good: async () => ({ ...(await anEnd()), kind: 'set-schedule', from: WEEKEND, to: '-10*168' }) as Change,
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
    select coalesce(made_target_id, made_negative_id, made_schedule_id) as id from mowing.change where account_id = ${shop.account} and change_id = ${changeId}`;
  return row.id;
}

const MADE_TOGETHER: ChangeKind[] = ['add-campaign', 'add-ad-group', 'add-ad', 'archive-place'];

describe('every kind of change', () => {
  test('is looked at here', () => {
    expect([...Object.keys(CASES), ...MADE_TOGETHER].sort()).toEqual(Object.keys(KINDS).sort());
  });

  test.each(Object.entries(CASES))(
    '%s is staged, sent, accepted, stands, and is undone',
    async (kind, one) => {
      const change = await one.good();
      const accepted = await sent(change);
      expect(accepted).toMatchObject({ state: 'accepted', change, undoable: one.undoneBy !== null });
      expect(accepted.present).toBe(one.stands(change));
      if (one.undoneBy === null) return;
      const { ids } = await undoChanges(THIS_MACHINE, { account: shop.account, ids: [accepted.id] });
      await sendBale(THIS_MACHINE, shop.account, ids);
      const [undoing] = await changesOf(ids);
      expect(undoing).toMatchObject({
        state: 'accepted',
        undoesId: accepted.id,
        change: { kind: one.undoneBy },
      });
      expect((await changesOf([accepted.id]))[0].undoable).toBe(false);
      if (one.undoneBy === kind) expect(undoing.present).toBe((change as { from: unknown }).from);
      else expect((await changesOf([accepted.id]))[0].present).toBe('archived');
    },
  );

  test.each(Object.entries(CASES).filter(([, { bad }]) => bad !== null))(
    '%s is refused with a sentence, and what stood there stands',
    async (_, { bad }) => {
      const change = await bad!();
      const [before] = await changesOf([await stage(change)]);
      await sendBale(THIS_MACHINE, shop.account, [before.id]);
      const [refused] = await changesOf([before.id]);
      expect(refused.state).toBe('refused');
      expect(refused.answer).toMatch(/\w+ .*\./);
      expect(refused.present).toBe(before.present);
      expect(refused.undoable).toBe(false);
    },
  );

  test('of a new place are made in their order, and go as they came', async () => {
    await makeHome(THIS_MACHINE, {
      account: shop.account,
      productId: shop.product,
      name: word(),
      campaign: { name: word(), budget: 10_000_000 },
      defaultBid: 400_000,
    });
    const staged = await loadChanges(shop.account, { state: 'staged' });
    expect(staged.map(({ change }) => change.kind)).toEqual(['add-campaign', 'add-ad-group', 'add-ad']);
    await sendBale(
      THIS_MACHINE,
      shop.account,
      staged.map(({ id }) => id),
    );
    const accepted = await changesOf(staged.map(({ id }) => id));
    expect(accepted.map(({ state }) => state)).toEqual(['accepted', 'accepted', 'accepted']);
    expect(accepted[0].present).toBe('enabled');
    const { ids } = await undoChanges(THIS_MACHINE, { account: shop.account, ids: [accepted[0].id] });
    await sendBale(THIS_MACHINE, shop.account, ids);
    expect((await changesOf(ids))[0]).toMatchObject({
      state: 'accepted',
      present: 'archived',
      change: { kind: 'archive-place', entity: 'campaign' },
    });
  });
});

describe('what a change carries', () => {
  test.each([['a list', { listId: -1 }]])(
    'is checked where it is kept: %s that is none never reaches a bale',
    async (_, carries) => {
      const wrong = db().begin((tx) =>
        stageIn(tx, shop.account, [{ change: newNegative(), ...because, carries }]),
      );
      await expect(wrong).rejects.toThrow(/check constraint/);
    },
  );

  test('an answer that our copy cannot take does not stop the others', async () => {
    const ids = await stageChanges(THIS_MACHINE, shop.account, [
      { change: newKeyword(), ...because },
      { change: newNegative(), ...because },
    ]);
    // Our copy refuses any new target for as long as this stands.
    await db()`alter table mowing.target add constraint no_more check (expression not like 'kind test%') not valid`;
    await sendBale(THIS_MACHINE, shop.account, ids as number[]);
    await db()`alter table mowing.target drop constraint no_more`;
    expect((await changesOf(ids)).map(({ state }) => state)).toEqual(['accepted', 'accepted']);
  });
});
