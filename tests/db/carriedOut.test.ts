import { afterAll, describe, expect, test } from 'vitest';
import type { NewChange } from '../../src/contract/changes';
import type { AccountRow } from '../../src/db/queries/accounts';
import { listTargets } from '../../src/db/queries/structure';
import { loadBidFeed } from '../../src/server/bids/loadBidFeed';
import { carryOut, settleBale } from '../../src/server/changes/carryOut';
import { loadBales, loadChanges } from '../../src/server/changes/loadChanges';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { undoChanges } from '../../src/server/changes/undoChanges';
import { closeContext, db } from '../../src/server/context/context';
import { THIS_MACHINE } from '../../src/server/trail';
import { anAccount, take } from './account';
import { because } from './shop';
import { told } from '../make/told';

afterAll(closeContext);

const HEADINGS = 'Campaign,Campaign state,Budget,Ad group,Default bid,Target,Match type,Bid,State';
const row = (target: string, bid: string, state = 'enabled', budget = '20.00') =>
  `Hand-made,enabled,${budget},all,0.40,${target},exact,${bid},${state}`;
const list = (...rows: string[]) => `${[HEADINGS, ...rows].join('\n')}\n`;

/** An account fed by files with three targets, and changes of two of them and a new one staged. */
async function aTray() {
  const account = await anAccount();
  await take(account, 'entities', list(row('one', '0.50'), row('two', '0.60'), row('three', '0.70')));
  const targets = await listTargets(db(), account.id);
  const of = (expression: string) => targets.find((one) => one.expression === expression)!;
  const changes: NewChange[] = [
    { ...because, change: { kind: 'set-bid', targetId: of('one').id, from: 500_000, to: 450_000 } },
    { ...because, change: { kind: 'set-bid', targetId: of('two').id, from: 600_000, to: 700_000 } },
    {
      ...because,
      change: {
        kind: 'add-keyword',
        adGroupId: of('one').adGroupId,
        expression: 'four',
        match: 'exact',
        bid: 300_000,
      },
    },
  ];
  const ids = (await stageChanges(THIS_MACHINE, account.id, changes)).filter(
    (id): id is number => id !== null,
  );
  return { account, ids, of };
}
const bids = async ({ id }: AccountRow) =>
  Object.fromEntries((await listTargets(db(), id)).map(({ expression, bid }) => [expression, bid]));
const states = async ({ id }: AccountRow) =>
  (await loadChanges(id, {})).map(({ state, answer }) => [state, answer]);

describe('a tray that was carried out by hand', () => {
  test('is a dated bale at once: ledger, waiting and undo go by its day', async () => {
    const { account, ids, of } = await aTray();
    const { baleId } = await carryOut(THIS_MACHINE, {
      account: account.id,
      ids,
      day: '2026-11-02',
      borneOut: 'all',
    });
    expect(await bids(account)).toEqual({ one: 450_000, two: 700_000, three: 700_000, four: 300_000 });
    const [bale] = await loadBales(account.id);
    expect(bale).toMatchObject({
      id: baleId,
      state: 'done',
      carriedOn: '2026-11-02',
      marketDay: '2026-11-02',
      accepted: 3,
    });
    const feed = told(await loadBidFeed(account.id)) as {
      bidChanges: { targetId: number; day: string }[];
    };
    expect(feed.bidChanges.map(({ targetId, day }) => [targetId, day])).toContainEqual([
      of('one').id,
      '2026-11-02',
    ]);
    const undone = await undoChanges(THIS_MACHINE, { account: account.id, ids });
    await carryOut(THIS_MACHINE, {
      account: account.id,
      ids: undone.ids,
      day: '2026-11-03',
      borneOut: 'all',
    });
    expect(await bids(account)).toMatchObject({ one: 500_000, two: 600_000 });
    const four = (await listTargets(db(), account.id)).find(({ expression }) => expression === 'four');
    expect(four?.state ?? 'archived').toBe('archived');
  });

  test('is compared with the next import of bids, change by change; what the file leaves open waits', async () => {
    const { account, ids } = await aTray();
    await carryOut(THIS_MACHINE, { account: account.id, ids, day: '2026-11-02', borneOut: 'by-import' });
    expect(await bids(account)).toMatchObject({ one: 500_000, two: 600_000 });
    const first = await take(account, 'entities', list(row('one', '0.45'), row('two', '0.65')));
    expect(first.message).toContain(
      'Of the changes carried out by hand: 1 confirmed, 1 not carried out, 1 that it says nothing of.',
    );
    expect(await states(account)).toEqual([
      ['accepted', null],
      ['refused', 'Not carried out: the import says the bid is 0.65.'],
      ['sending', null],
    ]);
    expect(await bids(account)).toMatchObject({ one: 450_000, two: 650_000 });
    await take(account, 'entities', list(row('four', '0.30')));
    expect((await loadBales(account.id))[0]).toMatchObject({ state: 'done', accepted: 2, refused: 1 });
    expect(
      (await listTargets(db(), account.id)).filter(({ expression }) => expression === 'four'),
    ).toHaveLength(1);
  });

  test('is settled by hand where no import bears it out', async () => {
    for (const as of ['carried-out', 'back-to-tray'] as const) {
      const { account, ids } = await aTray();
      const asked = { account: account.id, ids, day: '2026-11-02', borneOut: 'by-import' } as const;
      const { baleId } = await carryOut(THIS_MACHINE, asked);
      await expect(carryOut(THIS_MACHINE, asked)).rejects.toThrow('not in the tray any more');
      await settleBale(THIS_MACHINE, account.id, baleId, as);
      const wanted = as === 'carried-out' ? 'accepted' : 'staged';
      expect((await states(account)).map(([state]) => state)).toEqual([wanted, wanted, wanted]);
      await expect(settleBale(THIS_MACHINE, account.id, baleId, as)).rejects.toThrow('open any more');
    }
  });

  test('cannot be dated ahead', async () => {
    const { account, ids } = await aTray();
    await expect(
      carryOut(THIS_MACHINE, { account: account.id, ids, day: '2199-01-01', borneOut: 'all' }),
    ).rejects.toThrow('has not come yet');
    expect((await states(account)).map(([state]) => state)).toEqual(['staged', 'staged', 'staged']);
  });
});
