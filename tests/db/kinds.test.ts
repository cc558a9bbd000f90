import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { KINDS } from '../../src/core/changes';
import type { ChangeKind } from '../../src/core/changes';
import { sendBale } from '../../src/server/changes/sendBale';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { stageChanges, stageIn } from '../../src/server/changes/stageChanges';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { closeContext, db } from '../../src/server/context/context';
import { makeHome } from '../../src/server/routes/makeHome';
import { listTargets } from '../../src/db/queries/structure';
import { scenarios, smallScenario } from '../../src/market/sim';
import { kindCases } from './kindCases';
import { aShop, because } from './shop';
import type { Shop } from './shop';

let shop: Shop;
let keyword: number;
let bid: number;

beforeAll(async () => {
  const { options } = smallScenario();
  const { adParts } = scenarios.get('fernhollow')!.options;
  shop = await aShop({ options: { ...options, adGroupBudgets: true, similarCategories: true, adParts } });
  const target = (await listTargets(db(), shop.account)).find(
    ({ kind, adGroupId, bid: own }) => kind === 'keyword' && adGroupId === shop.home && own !== null,
  )!;
  keyword = target.id;
  bid = target.bid!;
}, 240_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const {
  cases: CASES,
  changesOf,
  stage,
  sent,
  word,
  newKeyword,
  newNegative,
} = kindCases(() => ({ shop, keyword, bid }));

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
