import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, expect, test } from 'vitest';
import type { BaleInfo, ChangeInfo, NewChange } from '../../src/contract/changes';
import { listTargets } from '../../src/db/queries/structure';
import { closeContext, db } from '../../src/server/context/context';
import { anApp } from './appProcess';
import type { TestApp } from './appProcess';
import { aShop, because } from './shop';
import type { Shop } from './shop';

// Hundreds of sends over a wire that hangs and cuts, to a market that fails, by an application that is killed, from a hand that clicks
// twice: in the end the ledger says what the market's own books say.

const SENDS = 100;
/** The application gives up a call after so long. */
const ANSWER_S = 1;

let shop: Shop;
let app: TestApp;
/** A fixed walk, so that a failure can be played again. */
let seed = 20261128;
const chance = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;

beforeAll(async () => {
  shop = await aShop();
  app = await anApp({
    market: { url: shop.wire.url, secret: shop.secret },
    env: { MOWING_MARKET_ANSWER_S: String(ANSWER_S) },
  });
});
afterAll(async () => {
  await app?.end();
  await shop?.end();
  await closeContext();
});

/** A keyword, the negative that waits for it, a negative by itself, a bid: what a send of the round holds. */
function changesOf(send: number, targets: { id: number; bid: number | null }[]): NewChange[] {
  const { home, source, campaign } = shop;
  const keyword = { kind: 'add-keyword', adGroupId: home, match: 'exact', bid: 400_000 } as const;
  const negative = { kind: 'add-negative', campaignId: campaign, adGroupId: source, match: 'exact' } as const;
  const bid = targets[send % targets.length];
  return [
    { ...because, change: { ...keyword, expression: `faulty term ${send}` } },
    { ...because, change: { ...negative, expression: `faulty term ${send}` }, after: 0 },
    { ...because, change: { ...negative, expression: send % 7 === 0 ? `bad ${send} %` : `block ${send}` } },
    {
      ...because,
      change: { kind: 'set-bid', targetId: bid.id, from: bid.bid, to: 300_000 + 10_000 * (send % 40) },
    },
  ];
}

/** Asks until the application is there. */
async function sure<T>(where: string, body?: unknown): Promise<{ status: number; json: T }> {
  for (;;) {
    const answer = await app.ask(where, body);
    if (answer) return answer;
    await sleep(50);
  }
}

const FAULTS = ['unavailable', 'error', 'fail-mid-batch', 'drop-after-commit', 'too-many'];

test(
  `${SENDS} sends among double clicks, kills and hung calls: none lost, none doubled, none wrongly told`,
  { timeout: 600_000 },
  async () => {
    const account = shop.account;
    const targets = (await listTargets(db(), account)).filter(({ bid }) => bid !== null);
    const staged: number[] = [];
    const troubles = { kills: 0, hung: 0, cut: 0, faults: 0, clicks: 0 };
    for (let send = 0; send < SENDS; send += 1) {
      const { json } = await sure<{ ids: (number | null)[] }>('/api/changes', {
        account,
        changes: changesOf(send, targets),
      });
      const ids = json.ids.filter((id): id is number => id !== null);
      staged.push(...ids);
      const dice = chance();
      if (dice < 0.05) {
        troubles.hung += 1;
        shop.wire.set('hangs');
      } else if (dice < 0.12) {
        troubles.cut += 1;
        shop.wire.set('cuts the answer');
      } else if (dice < 0.32) {
        troubles.faults += 1;
        await shop.fault(
          ...Array.from(
            { length: 1 + Math.floor(chance() * 3) },
            () => FAULTS[Math.floor(chance() * FAULTS.length)],
          ),
        );
      }
      const clicks = 1 + Math.floor(chance() * 3);
      troubles.clicks += clicks - 1;
      const sent = Array.from({ length: clicks }, () => app.ask('/api/bales', { account, ids }));
      if (chance() < 0.06) {
        troubles.kills += 1;
        await sleep(chance() * 40);
        await app.kill();
        await app.open();
      }
      await Promise.all(sent);
      shop.wire.set('passes');
      if (chance() < 0.3) await retryOpen(account);
    }
    await shop.fault();
    await expect
      .poll(
        async () => {
          await retryOpen(account);
          return (await openBales(account)).length;
        },
        { timeout: 60_000, interval: 500 },
      )
      .toBe(0);
    expect(Math.min(...Object.values(troubles))).toBeGreaterThan(2);

    // What was clicked as the application was killed, before its bale was written down, is in the tray still, and is sent now.
    const left = (await sure<ChangeInfo[]>(`/api/changes?account=${account}&state=staged`)).json.map(
      ({ id }) => id,
    );
    if (left.length > 0) await sure('/api/bales', { account, ids: left });

    const told = (await sure<ChangeInfo[]>(`/api/changes?account=${account}`)).json;
    const byId = new Map(told.map((one) => [one.id, one]));
    const open = staged
      .map((id) => byId.get(id))
      .filter((one) => one?.state !== 'accepted' && one?.state !== 'refused');
    expect(open).toEqual([]);
    const made = told.flatMap(({ change, state }) =>
      'expression' in change ? [{ expression: change.expression, kind: change.kind, state }] : [],
    );
    const count = await inBooks();
    const wrong = made.filter(
      ({ expression, kind, state }) =>
        (count.get(`${kind} ${expression}`) ?? 0) !== (state === 'accepted' ? 1 : 0),
    );
    expect(wrong).toEqual([]);
    expect(made.filter(({ state }) => state === 'accepted').length).toBeGreaterThan(SENDS);

    // A bid stands in the market where the last accepted change put it.
    const wanted = new Map<number, number>();
    for (const { change, state } of told)
      if (change.kind === 'set-bid' && state === 'accepted') wanted.set(change.targetId, change.to);
    const stands = await bidsInBooks([...wanted.keys()]);
    expect([...wanted].filter(([id, bid]) => stands.get(id) !== bid)).toEqual([]);
  },
);

const openBales = async (account: number) =>
  (await sure<BaleInfo[]>(`/api/bales?account=${account}`)).json.filter(({ state }) => state === 'sending');

async function retryOpen(account: number) {
  for (const { id } of await openBales(account)) await sure(`/api/bales/${id}/retry?account=${account}`, {});
}

/** How often each keyword and negative stands in the market's own books. */
async function inBooks(): Promise<Map<string, number>> {
  const rows = await shop.books<{ what: string; n: number }[]>`
    select 'add-keyword ' || expression as what, count(*)::integer as n from quaymarket.target where account_id = ${shop.key} group by 1
    union all
    select 'add-negative ' || expression, count(*)::integer from quaymarket.negative where account_id = ${shop.key} group by 1`;
  return new Map(rows.map(({ what, n }) => [what, n]));
}

async function bidsInBooks(targets: number[]): Promise<Map<number, number>> {
  const known = await db()<{ id: number; marketId: string }[]>`
    select target_id as id, market_id as "marketId" from mowing.target
    where account_id = ${shop.account} and target_id = any(${targets}::integer[])`;
  const rows = await shop.books<{ id: string; bid: number }[]>`
    select id, bid::float8 as bid from quaymarket.target where account_id = ${shop.key} and id = any(${known.map((one) => one.marketId)})`;
  const bids = new Map(rows.map(({ id, bid }) => [id, bid]));
  return new Map(known.map((one) => [one.id, bids.get(one.marketId)!]));
}
