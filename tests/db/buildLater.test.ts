import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest';
import type { BuildPlan } from '../../src/core/build';
import { loadPlans } from '../../src/server/build/plans';
import { launchPlan } from '../../src/server/build/launch';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { closeContext, db } from '../../src/server/context/context';
import { loadFindings } from '../../src/server/structure/loadFindings';
import { THIS_MACHINE } from '../../src/server/trail';
import { planMaker } from './planMaker';
import { aShop } from './shop';
import type { Shop } from './shop';

let shop: Shop;
let account: number;

beforeAll(async () => {
  shop = await aShop();
  ({ account } = shop);
}, 240_000);
beforeEach(() => shop.calm());
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const { aPlan, onMarket } = planMaker(() => shop);

const inShop = async (set: object, product = shop.product) => {
  const [{ id }] = await db()<{ id: string }[]>`
      select market_id as id from mowing.product where account_id = ${account} and product_id = ${product}`;
  await shop.ask(`/accounts/${shop.key}/products/${id}`, {
    json: set,
    headers: { authorization: `Bearer ${await shop.signIn()}` },
  });
  await shop.sync();
};
const found = async (kind: string) =>
  (await loadFindings(account)).findings.filter((one) => one.kind === kind);
const mend = async (kind: string) => {
  const list = await found(kind);
  const ids = await stageChanges(
    THIS_MACHINE,
    account,
    list.flatMap((one) =>
      one.mend.map((change) => ({
        change,
        reason: one.words,
        figures: {},
        effect: { spend: 0, sales: 0 },
      })),
    ),
  );
  await sendBale(
    THIS_MACHINE,
    account,
    ids.filter((id) => id !== null),
  );
  return list;
};

test('another price makes the targets that were refined against the old one anew, and no others', async () => {
  const { id, listing, product } = await aPlan();
  await launchPlan(THIS_MACHINE, account, id);
  await shop.sync();
  const before = await onMarket('targets');
  const others = (await found('refined-against')).length;
  await inShop({ price: listing!.price * 2 });
  expect((await found('refined-against')).length).toBeGreaterThan(others);
  await mend('refined-against');
  const after = await onMarket('targets');
  const ids = new Set(before.map((one) => one.id));
  const fresh = after.filter((one) => !ids.has(one.id));
  expect([...new Set(fresh.map(({ kind, expression }) => `${kind} ${expression}`))]).toEqual([
    `category ${product.line}`,
  ]);
  expect(fresh.every(({ refine }) => refine?.minPrice === listing!.price * 2)).toBe(true);
  expect(after.length).toBe(before.length);
  expect(await found('refined-against')).toEqual([]);
  await inShop({ price: listing!.price });
});

test('a rule’s set follows the products that fit it', async () => {
  const all = (await loadPlans(account)).products;
  const other = all.find(({ id }) => id !== shop.product)!;
  const { id } = await aPlan((plan) => ({
    parts: Object.fromEntries(
      Object.entries(plan.parts).map(([name, part]) => [name, { ...part, isOn: name === 'auto' }]),
    ) as BuildPlan['parts'],
    rule: {
      lineId: null,
      minPrice: null,
      maxPrice: null,
      minMargin: null,
      maxMargin: null,
      minStock: 100_000,
      minDiscount: null,
      maxDiscount: null,
    },
  }));
  await launchPlan(THIS_MACHINE, account, id);
  await shop.sync();
  expect(await found('ruled-set')).toEqual([]);
  await inShop({ stock: 200_000 }, other.id);
  expect(await mend('ruled-set')).toMatchObject([
    { words: `“${other.name}” fit its rule now.`, mend: [{ kind: 'add-ad' }] },
  ]);
  await shop.sync();
  expect(await found('ruled-set')).toEqual([]);
  await inShop({ stock: 10 }, other.id);
  expect(await mend('ruled-set')).toMatchObject([{ mend: [{ kind: 'archive-ad', productId: other.id }] }]);
  await shop.sync();
  expect(await found('ruled-set')).toEqual([]);
});
