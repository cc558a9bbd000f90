import { afterAll, beforeAll, test } from 'vitest';
import { closeContext } from '../../src/server/context/context';
import { advance } from '../../src/market/store/play';
import { aShop } from './shop';
import type { Shop } from './shop';
let shop: Shop;
beforeAll(async () => {
  shop = await aShop({ days: 45, headVolume: 400 });
}, 120_000);
afterAll(async () => {
  await shop.end();
  await closeContext();
});
test('x', async () => {
  for (let i = 0; i < 6; i += 1) {
    let t = Date.now();
    await advance(shop.books, shop.scenario, shop.key, 2, () => {});
    const a = Date.now() - t;
    t = Date.now();
    await shop.sync();
    console.log('advance', a, 'sync', Date.now() - t);
  }
}, 100000);
