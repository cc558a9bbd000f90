import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { marketClient } from '../../src/connect/market';
import type { MarketClient } from '../../src/connect/market';
import type { MarketChange } from '../../src/contract/market';
import { aMarket } from './market';
import type { TestMarket } from './market';

let market: TestMarket;
let client: MarketClient;
let home: string;

beforeAll(async () => {
  market = await aMarket();
  client = marketClient(market.url, market.secret, { tries: 1 });
  home = (await client.entities(market.key, 'ad-groups')).items.find(({ name }) => name === 'exact')!.id;
});
afterAll(() => market.end());

const keyword = (expression: string, ref = '1'): MarketChange => ({
  ref,
  do: 'create',
  entity: 'targets',
  fields: { adGroupId: home, kind: 'keyword', match: 'exact', expression, bid: 400_000 },
});
const target = async (id: string) =>
  (await client.entities(market.key, 'targets')).items.find((one) => one.id === id)!;
describe('changes', () => {
  let key = 0;
  const send = async (change: Omit<MarketChange, 'ref'>) =>
    (await client.sendChanges(market.key, `c-${(key += 1)}`, [{ ref: '1', ...change } as MarketChange]))[0];
  const setBid = (id: string, bid: number) =>
    send({ do: 'update', entity: 'targets', id, fields: { bid } } as never);

  test('of a bid, a budget, a modifier and a state are carried out', async () => {
    const { id } = await send({ ...keyword('to be changed') } as never);
    expect((await setBid(id!, 550_000)).accepted).toBe(true);
    expect((await target(id!)).bid).toBe(550_000);
    const [campaign] = (await client.entities(market.key, 'campaigns')).items;
    const fields = { budget: 12_000_000, top: 0.35, state: 'paused' };
    expect(
      (await send({ do: 'update', entity: 'campaigns', id: campaign.id, fields } as never)).accepted,
    ).toBe(true);
    expect((await client.entities(market.key, 'campaigns')).items[0]).toMatchObject(fields);
  });

  test('make a campaign with all that belongs to it', async () => {
    const create = (entity: string, fields: object) => send({ do: 'create', entity, fields } as never);
    const [product] = (await client.entities(market.key, 'products')).items;
    const campaign = await create('campaigns', { name: 'New', budget: 5_000_000 });
    const group = await create('ad-groups', { campaignId: campaign.id, name: 'all', defaultBid: 300_000 });
    const made = [
      await create('ads', { adGroupId: group.id, productId: product.id }),
      await create('targets', { adGroupId: group.id, kind: 'auto', expression: 'near searches' }),
      await create('negatives', { campaignId: campaign.id, match: 'phrase', expression: 'used' }),
      await create('schedules', {
        campaignId: campaign.id,
        name: 'Sunday off',
        week: Array.from({ length: 168 }, (_, cell) => (cell < 144 ? 0 : -100)),
      }),
    ];
    expect(made.map(({ accepted, sentence }) => [accepted, sentence])).toEqual(made.map(() => [true, null]));
  });

  test.each<[string, object, string]>([
    [
      'a bid below the minimum',
      { do: 'update', entity: 'targets', id: 'T1', fields: { bid: 10_000 } },
      'bid-below-minimum',
    ],
    [
      'a bid off the step',
      { do: 'update', entity: 'targets', id: 'T1', fields: { bid: 405_000 } },
      'bid-off-step',
    ],
    [
      'a schedule of a day',
      { do: 'create', entity: 'schedules', fields: { campaignId: 'C1', name: 'x', week: [0, 10] } },
      'bad-value',
    ],
    [
      'a modifier above 900 %',
      { do: 'update', entity: 'campaigns', id: 'C1', fields: { top: 9.5 } },
      'modifier-out-of-range',
    ],
    [
      'a field that cannot be set',
      { do: 'update', entity: 'targets', id: 'T1', fields: { match: 'exact' } },
      'unknown-field',
    ],
    [
      'a thing that is not there',
      { do: 'update', entity: 'targets', id: 'T0', fields: { bid: 400_000 } },
      'not-found',
    ],
    [
      'a campaign without a budget',
      { do: 'create', entity: 'campaigns', fields: { name: 'x' } },
      'missing-field',
    ],
    [
      'an end before today',
      { do: 'create', entity: 'campaigns', fields: { name: 'x', budget: 5e6, endsOn: '2026-01-01' } },
      'past-day',
    ],
    [
      'an item code in small letters',
      {
        do: 'create',
        entity: 'targets',
        fields: { adGroupId: 'G1', kind: 'item', expression: 'qy7k3m92td' },
      },
      'no-item-code',
    ],
  ])('%s is refused with a code', async (_, change, code) => {
    expect(await send(change as never)).toMatchObject({
      accepted: false,
      code,
      sentence: expect.any(String),
    });
  });

  test('are suggested: a bid with a range, and terms that are not targeted yet', async () => {
    const [suggestion] = await client.suggestBids(market.key, [
      { adGroupId: home, kind: 'keyword', match: 'broad', expression: 'oak tray' },
    ]);
    expect(suggestion!.low).toBeLessThan(suggestion!.bid);
    expect(suggestion!.high).toBeGreaterThan(suggestion!.bid);
    const known = new Set(
      (await client.entities(market.key, 'targets')).items
        .filter(({ adGroupId }) => adGroupId === home)
        .map(({ expression }) => expression),
    );
    const terms = await client.suggestTargets(market.key, { adGroup: home });
    expect(terms.length).toBeGreaterThan(5);
    expect(terms.filter(({ expression }) => known.has(expression))).toEqual([]);
  });
});
