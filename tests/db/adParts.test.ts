import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest';
import { partsText } from '../../src/core/changes';
import { scenarios } from '../../src/market/sim';
import { loadAds } from '../../src/server/ads/ads';
import { addPicture, pictureFile, putPicture } from '../../src/server/ads/pictures';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { closeContext } from '../../src/server/context/context';
import { THIS_MACHINE } from '../../src/server/trail';
import { aPng } from '../make/png';
import { aShop, because } from './shop';
import type { Shop } from './shop';

// Where a market takes it, ads show titles and pictures of their own in place of their product's.

let shop: Shop;
let account: number;

beforeAll(async () => {
  const { key: _, ...fernhollow } = scenarios.get('fernhollow')!;
  shop = await aShop({ ...fernhollow, accountName: 'Shop of ads', days: 5 });
  ({ account } = shop);
}, 240_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const file = async function* (bytes: Buffer) {
  yield bytes;
};
const add = (name: string, bytes: Buffer) => addPicture(THIS_MACHINE, { account, name }, file(bytes));
const anAd = async () => (await loadAds(account)).ads[0];
const show = async (titles: string[], pictures: string[]) => {
  const ad = await anAd();
  const to = partsText({ titles, pictures });
  const [id] = await stageChanges(THIS_MACHINE, account, [
    {
      change: { kind: 'set-ad-parts', adId: ad.id, adGroupId: ad.adGroupId, from: partsText(ad), to },
      ...because,
    },
  ]);
  return id!;
};

test('a picture that the market would refuse is told with everything that is wrong, and not kept', async () => {
  await expect(add('small.png', aPng(300, 400))).rejects.toThrow(/exactly 600 × 400/);
  await expect(add('notes.png', Buffer.from('no picture at all'))).rejects.toThrow(
    /no picture; the market takes PNG or JPG/,
  );
  expect((await loadAds(account)).pictures).toEqual([]);
});

test('while the market is away nothing is kept that it does not have', async () => {
  await shop.fault('unavailable', 'unavailable');
  await expect(add('a.png', aPng(600, 400))).rejects.toThrow(/market/i);
  expect((await loadAds(account)).pictures).toEqual([]);
});

test('titles and pictures reach the market, come back with a sync, and are undone; a removed picture can be restored', async () => {
  const { pictures } = await add('desk.png', aPng(600, 400, 90));
  await add('desk again.png', aPng(600, 400, 90));
  expect((await loadAds(account)).pictures).toMatchObject([
    { id: pictures[0].id, name: 'desk again.png', ads: 0 },
  ]);
  const change = await show(['Dotted, lies flat', 'A5 in green'], [pictures[0].id]);
  expect((await anAd()).pending).toEqual({
    titles: ['Dotted, lies flat', 'A5 in green'],
    pictures: [pictures[0].id],
  });
  await sendBale(THIS_MACHINE, account, [change]);
  await shop.sync();
  expect(await anAd()).toMatchObject({
    titles: ['Dotted, lies flat', 'A5 in green'],
    pictures: [pictures[0].id],
    pending: null,
  });

  const gone = await putPicture(THIS_MACHINE, { account, id: pictures[0].id, isRemoved: true });
  expect(gone.pictures).toMatchObject([{ isRemoved: true, ads: 1 }]);
  expect((await pictureFile(account, pictures[0].id)).headers.get('content-type')).toBe('image/png');
  const back = await putPicture(THIS_MACHINE, { account, id: pictures[0].id, isRemoved: false });
  expect(back.pictures).toMatchObject([{ isRemoved: false }]);
});

test('what the market does not take never reaches the tray', async () => {
  await expect(show(['x'.repeat(51)], [])).rejects.toThrow(/51 characters; the market takes 50/);
  await expect(show(['a', 'b', 'c', 'd'], [])).rejects.toThrow(/at most 3 titles/);
  await expect(show([], ['0'.repeat(32)])).rejects.toThrow(/no picture 0000/);
  expect(await loadChanges(account, { state: 'staged' })).toEqual([]);
});
