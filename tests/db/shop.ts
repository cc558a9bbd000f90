import { THIS_MACHINE } from '../../src/server/trail';
import type { NewChange } from '../../src/contract/changes';
import { listAdGroups } from '../../src/db/queries/structure';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { withdraw } from '../../src/server/changes/stageChanges';
import { db } from '../../src/server/context/context';
import { market } from '../../src/server/market/market';
import { accountOfMarket } from '../../src/server/market/openMarket';
import { syncAccount } from '../../src/server/sync/syncAccount';
import type { Scenario } from '../../src/market/sim';
import { advance } from '../../src/market/store/play';
import { aMarket } from './market';
import { aWire } from './wire';

/** A small shop on a market of its own, synced into an account, with a home and an ad group that looks for terms. */
export async function aShop(over: Partial<Scenario> = {}) {
  const shop = await aMarket(over);
  const wire = await aWire(shop.url);
  process.env.MOWING_MARKET_URL = wire.url;
  process.env.MOWING_MARKET_ANSWER_S = '5';
  process.env.MOWING_MARKET_SECRET = shop.secret;
  const remote = (await market().accounts()).find(({ id }) => id === shop.key)!;
  const account = await accountOfMarket(remote, false);
  await syncAccount(account, market(), async () => {});
  const groups = await listAdGroups(db(), account);
  const auto = groups.find(({ name }) => name === 'auto')!;
  return {
    ...shop,
    /** Between the application and the market. */
    wire,
    account,
    home: groups.find(({ name }) => name === 'exact')!.id,
    source: auto.id,
    campaign: auto.campaignId,
    product: auto.productId!,
    end: async () => {
      await wire.end();
      await shop.end();
    },
    sync: () => syncAccount(account, market(), async () => {}),
    /** Lets days pass on the market, and reads what they brought. */
    pass: async (days: number) => {
      const { books, scenario, key } = shop;
      await advance(books, scenario, key, days, () => {});
      await syncAccount(account, market(), async () => {});
    },
    /** Nothing goes wrong any more, and nothing is staged. */
    calm: async () => {
      wire.set('passes');
      await shop.fault();
      const staged = await loadChanges(account, { state: 'staged' });
      if (staged.length > 0)
        await withdraw(
          THIS_MACHINE,
          account,
          staged.map(({ id }) => id),
        );
    },
  };
}

export type Shop = Awaited<ReturnType<typeof aShop>>;

export const because: Omit<NewChange, 'change'> = {
  reason: 'a test',
  figures: {},
  effect: { spend: 0, sales: 0 },
};
