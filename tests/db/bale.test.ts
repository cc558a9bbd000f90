import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import type { NewChange } from '../../src/contract/changes';
import { listTargets } from '../../src/db/queries/structure';
import { loadBales, loadChanges } from '../../src/server/changes/loadChanges';
import { resumeBales, sendBale } from '../../src/server/changes/sendBale';
import { editValues, goFromPresent } from '../../src/server/changes/editStaged';
import { stageChanges, withdraw } from '../../src/server/changes/stageChanges';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { closeContext, db } from '../../src/server/context/context';
import { aShop, because } from './shop';
import type { Shop } from './shop';

let books: Shop['books'];
let key: string;
let shop: Shop;
let account: number;
let home: number;
let source: number;
let campaign: number;

beforeAll(async () => {
  shop = await aShop();
  ({ books, key, account, home, source, campaign } = shop);
});
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const aKeyword = (expression: string, bid = 400_000): NewChange => ({
  ...because,
  change: { kind: 'add-keyword', adGroupId: home, expression, match: 'exact', bid },
});
const aNegative = (expression: string): NewChange => ({
  ...because,
  change: { kind: 'add-negative', campaignId: campaign, adGroupId: source, match: 'exact', expression },
});

async function stage(...changes: NewChange[]) {
  return (await stageChanges(THIS_MACHINE, account, changes)).filter((id): id is number => id !== null);
}

async function stateOf(ids: number[]) {
  const changes = await loadChanges(account, {});
  return ids
    .map((id) => changes.find((one) => one.id === id)!)
    .map(({ state, answer }) => ({ state, answer }));
}

/** How often an expression stands in the market's own books. */
async function inMarket(expression: string): Promise<number> {
  const [{ n }] = await books`
    select (select count(*) from quaymarket.target where account_id = ${key} and expression = ${expression})
         + (select count(*) from quaymarket.negative where account_id = ${key} and expression = ${expression}) as n`;
  return Number(n);
}

describe('sending a bale', () => {
  test('answers each change by itself: good ones accepted, the rest refused with a sentence', async () => {
    const ids = await stage(
      aNegative('paperweight'),
      aKeyword('a'.repeat(81)),
      aKeyword('salt 100%'),
      aKeyword('cheap bid', 10_000),
    );
    const { trouble } = await sendBale(THIS_MACHINE, account, ids);
    expect(trouble).toBe('');
    expect(await stateOf(ids)).toEqual([
      { state: 'accepted', answer: null },
      { state: 'refused', answer: 'The text has 81 characters; the market takes 80.' },
      { state: 'refused', answer: 'The market refuses the character “%”.' },
      { state: 'refused', answer: 'The bid 0.01 is below the market’s minimum of 0.05.' },
    ]);
    expect(await inMarket('paperweight')).toBe(1);
  });

  test('what was accepted is part of the account from then on', async () => {
    await sendBale(THIS_MACHINE, account, await stage(aKeyword('tall jar weights')));
    const targets = await listTargets(db(), account);
    expect(targets).toContainEqual(
      expect.objectContaining({
        adGroupId: home,
        expression: 'tall jar weights',
        match: 'exact',
        bid: 400_000,
      }),
    );
  });

  test('the market refuses what it has already', async () => {
    await sendBale(THIS_MACHINE, account, await stage(aKeyword('twice wanted')));
    const again = await stage(aKeyword('Twice  WANTED'));
    await sendBale(THIS_MACHINE, account, again);
    expect((await stateOf(again))[0]).toMatchObject({
      state: 'refused',
      answer: expect.stringContaining('already has'),
    });
  });

  test('a term is blocked in its source only once its keyword was accepted', async () => {
    const good = await stage(aKeyword('move me'), { ...aNegative('move me'), after: 0 });
    const bad = await stage(aKeyword('not this %'), { ...aNegative('nor that'), after: 0 });
    await sendBale(THIS_MACHINE, account, [...good, ...bad]);
    expect((await stateOf(good)).map(({ state }) => state)).toEqual(['accepted', 'accepted']);
    expect((await stateOf(bad))[1]).toMatchObject({
      state: 'refused',
      answer: expect.stringContaining('has to come first was refused'),
    });
    expect(await inMarket('nor that')).toBe(0);
  });
});

describe('nothing is lost, and nothing sent twice', () => {
  test('when the button is pressed twice at once', async () => {
    const ids = await stage(aNegative('double click'));
    const results = await Promise.allSettled([
      sendBale(THIS_MACHINE, account, ids),
      sendBale(THIS_MACHINE, account, ids),
    ]);
    expect(results.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await inMarket('double click')).toBe(1);
  });

  test('when the market acts but its answer is lost: asked again with the same key', async () => {
    const ids = await stage(aNegative('lost answer'));
    await shop.fault('drop-after-commit', 'drop-after-commit');
    const { trouble } = await sendBale(THIS_MACHINE, account, ids);
    expect(trouble).toContain('did not answer');
    expect(await inMarket('lost answer')).toBe(1);
    expect((await stateOf(ids))[0].state).toBe('sending');
    await resumeBales();
    expect((await stateOf(ids))[0].state).toBe('accepted');
    expect(await inMarket('lost answer')).toBe(1);
  });

  test('when the market is down: the bale waits, and goes out when it is back', async () => {
    const ids = await stage(aNegative('market down'));
    await shop.goDown();
    const { baleId, trouble } = await sendBale(THIS_MACHINE, account, ids);
    expect(trouble).toContain('Nothing is lost');
    expect((await loadBales(account)).find(({ id }) => id === baleId)).toMatchObject({
      state: 'sending',
      tries: 1,
    });
    await shop.comeBack();
    await Promise.all([resumeBales(), resumeBales()]);
    expect((await stateOf(ids))[0].state).toBe('accepted');
    expect(await inMarket('market down')).toBe(1);
  });

  test('when the market hangs: the sender is told, no transaction waits for it, and a second try asks for the same lot', async () => {
    const ids = await stage(aNegative('hung market'));
    shop.wire.set('hangs');
    const sending = sendBale(THIS_MACHINE, account, ids);
    await expect.poll(async () => (await stateOf(ids))[0].state).toBe('sending');
    const [{ busy }] = await db()<{ busy: number }[]>`
      select count(*)::integer as busy from pg_stat_activity
      where datname = current_database() and state = 'idle in transaction'`;
    expect(busy).toBe(0);
    await resumeBales(); // somebody is at it: no second try begins beside the first
    const [bale] = await loadBales(account);
    expect(bale).toMatchObject({ state: 'sending', tries: 0 });
    const lots = () =>
      db()`select lot_key, is_answered from mowing.lot where account_id = ${account} and bale_id = ${bale.id}`;
    const [lot] = await lots();
    expect((await sending).trouble).toContain('did not answer');
    shop.wire.set('passes');
    await resumeBales();
    expect(await lots()).toEqual([{ ...lot, is_answered: true }]);
    expect((await stateOf(ids))[0].state).toBe('accepted');
    expect(await inMarket('hung market')).toBe(1);
  });

  test('when a change waits for another that stays in the tray: it stays there too, and is not told as refused', async () => {
    const ids = await stage(
      aKeyword('goes later'),
      { ...aNegative('goes later'), after: 0 },
      aNegative('goes now'),
    );
    const { waiting } = await sendBale(THIS_MACHINE, account, ids.slice(1));
    expect(waiting).toBe(1);
    expect((await stateOf(ids)).map(({ state }) => state)).toEqual(['staged', 'staged', 'accepted']);
    await expect(sendBale(THIS_MACHINE, account, [ids[1]])).rejects.toThrow('wait for others');
    await sendBale(THIS_MACHINE, account, ids);
    expect((await stateOf(ids)).map(({ state }) => state)).toEqual(['accepted', 'accepted', 'accepted']);
  });

  test('when the same change is accepted twice in the round', async () => {
    const [first] = await stage(aNegative('staged twice'));
    expect(await stageChanges(THIS_MACHINE, account, [aNegative('Staged twice')])).toEqual([null]);
    expect(await withdraw(THIS_MACHINE, account, [first])).toEqual([first]);
    expect(await stage(aNegative('staged twice'))).toHaveLength(1);
  });
});

describe('taking back', () => {
  test('a keyword takes along the negative that waits for it', async () => {
    const ids = await stage(aKeyword('not after all'), { ...aNegative('not after all'), after: 0 });
    expect((await withdraw(THIS_MACHINE, account, [ids[0]])).sort()).toEqual([...ids].sort());
  });

  test('an accepted negative is lifted by another change, once', async () => {
    const ids = await stage(aNegative('blocked in haste'));
    await sendBale(THIS_MACHINE, account, ids);
    const { ids: undo } = await undoChanges(THIS_MACHINE, { account, ids });
    await sendBale(THIS_MACHINE, account, undo);
    expect((await stateOf(undo))[0].state).toBe('accepted');
    const [{ state }] =
      await books`select state from quaymarket.negative where account_id = ${key} and expression = 'blocked in haste'`;
    expect(state).toBe('archived');
    await expect(undoChanges(THIS_MACHINE, { account, ids })).rejects.toMatchObject({ code: 'conflict' });
  });
});

describe('a bid', () => {
  const aBid = async (to: number): Promise<NewChange> => {
    const target = (await listTargets(db(), account)).find(({ bid }) => bid !== null && bid >= 300_000)!;
    const change = { kind: 'set-bid', targetId: target.id, from: target.bid, to } as const;
    return { ...because, change, effect: { spend: -1_000_000, sales: -500_000 } };
  };

  test('that is edited in the tray takes what is expected of it along', async () => {
    const staged = await aBid(200_000);
    const [id] = await stage(staged);
    const { from } = staged.change as { from: number };
    await editValues(THIS_MACHINE, account, [{ id, value: from }]);
    const [one] = await loadChanges(account, { state: 'staged' });
    expect(one).toMatchObject({ change: { to: from }, effect: { spend: 0, sales: 0 } });
    await expect(editValues(THIS_MACHINE, account, [{ id: 987_654, value: 1 }])).rejects.toMatchObject({
      code: 'conflict',
    });
  });

  test('that was set since is asked for before it is undone, and can go from what stands there', async () => {
    const first = await aBid(210_000);
    const { targetId } = first.change as { targetId: number };
    const ids = await stage(first);
    await sendBale(THIS_MACHINE, account, ids);
    const other = { ...first, change: { ...first.change, from: 210_000, to: 260_000 } } as NewChange;
    await sendBale(THIS_MACHINE, account, await stage(other));

    const asked = await undoChanges(THIS_MACHINE, { account, ids });
    expect(asked).toMatchObject({ ids: [], changed: [{ id: ids[0], present: 260_000 }] });
    expect((await undoChanges(THIS_MACHINE, { account, ids, changed: 'leave' })).ids).toEqual([]);
    const { ids: back } = await undoChanges(THIS_MACHINE, { account, ids, changed: 'set-back' });
    const [undo] = (await loadChanges(account, { state: 'staged' })).filter(({ id }) => id === back[0]);
    expect(undo.change).toEqual({
      kind: 'set-bid',
      targetId,
      from: 260_000,
      to: (first.change as { from: number }).from,
    });

    const late = { ...first, change: { ...first.change, from: 210_000, to: 250_000 } } as NewChange;
    await withdraw(THIS_MACHINE, account, back);
    const [drifted] = await stage(late);
    await goFromPresent(THIS_MACHINE, account, [drifted]);
    const [moved] = await loadChanges(account, { state: 'staged' });
    expect(moved.change).toMatchObject({ from: 260_000, to: 250_000 });
  });
});

test('a change for an ad group that the account does not have is not staged', async () => {
  await expect(
    stageChanges(THIS_MACHINE, account, [
      {
        ...because,
        change: { kind: 'add-keyword', adGroupId: 2_000_000_000, expression: 'x', match: 'exact', bid: 1 },
      },
    ]),
  ).rejects.toMatchObject({ code: 'not-found' });
});
