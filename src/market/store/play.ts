import { addDays } from '../../core/units';
import { firstState, prepareField, setUpSeller, simulateDay } from '../sim';
import type { Books, Scenario, SimState } from '../sim';
import { flatCampaigns, loadBooks, writeEntities } from './books';
import type { MarketDb, MarketTx } from './connection';
import { findMarketAccount } from './entities';
import { applyLateOrders, FACT_TABLES, writeDay } from './facts';
import { listedProducts, listProductsOn } from './shop';
import { worldOf } from './worlds';

/** Told after each day that was played. */
export type OnDay = (done: number, of: number) => void;

/**
 * Opens a scenario: its account, the seller's books and its days up to today, in one transaction, unless it is there.
 * @returns whether it was made now
 */
export async function openScenario(
  sql: MarketDb,
  scenario: Scenario,
  onDay: OnDay = () => {},
): Promise<boolean> {
  const account = scenario.key;
  if (await findMarketAccount(sql, account)) return false;
  const world = worldOf(scenario);
  const books = setUpSeller(world);
  const firstDay = addDays(scenario.today, -scenario.days);
  await sql.begin(async (tx) => {
    await tx`
      insert into quaymarket.account (account_id, scenario, name, currency, first_day, today, target_acos, limits, options, state, time_zone)
      values (${account}, ${scenario.key}, ${scenario.accountName}, ${scenario.currency}, ${firstDay}, ${firstDay},
        ${scenario.targetAcos}, ${tx.json(scenario.limits as never)}, ${tx.json(scenario.options as never)}, ${tx.json(firstState(world) as never)}, ${scenario.timeZone})`;
    await writeEntities(tx, account, 'lines', world.lines);
    await writeEntities(tx, account, 'products', listedProducts(world, firstDay, {}));
    await writeEntities(tx, account, 'campaigns', flatCampaigns(books));
    await writeEntities(tx, account, 'ad-groups', books.adGroups);
    await writeEntities(tx, account, 'ads', books.ads);
    await writeEntities(tx, account, 'targets', books.targets);
    await writeEntities(tx, account, 'negatives', books.negatives);
    await writeEntities(tx, account, 'schedules', books.schedules);
    await playDays(tx, scenario, account, books, firstState(world), firstDay, scenario.days, onDay);
  });
  await sql`analyze quaymarket.term_day, quaymarket.target_day, quaymarket.campaign_hour, quaymarket.late_order, quaymarket.target`;
  return true;
}

/** Lets days pass, each in a transaction of its own: what was played stays when the next one fails. */
export async function advance(
  sql: MarketDb,
  scenario: Scenario,
  account: string,
  days: number,
  onDay: OnDay,
): Promise<void> {
  for (let done = 0; done < days; done += 1) {
    await sql.begin(async (tx) => {
      const [row] =
        await tx`select today, state from quaymarket.account where account_id = ${account} for update`;
      const books = await loadBooks(tx, account);
      await playDays(tx, scenario, account, books, row.state as SimState, row.today as string, 1, () => {});
    });
    onDay(done + 1, days);
  }
}

async function playDays(
  tx: MarketTx,
  scenario: Scenario,
  account: string,
  books: Books,
  state: SimState,
  from: string,
  days: number,
  onDay: OnDay,
) {
  const world = worldOf(scenario);
  let day = from;
  let field = prepareField(world, books, day);
  const hasDates =
    books.campaigns.some(({ startsOn, endsOn }) => startsOn > from || endsOn !== null) ||
    books.adGroups.some(({ startsOn, endsOn }) => startsOn !== null || endsOn !== null);
  let written: Promise<void> = Promise.resolve();
  for (let done = 0; done < days; done += 1) {
    if (done > 0 && hasDates) field = prepareField(world, books, day);
    const facts = simulateDay(world, field, books.schedules, state, day);
    // A day is written while the next one is played.
    await written;
    written = writeDay(tx, account, facts);
    written.catch(() => {}); // told by the next wait
    day = addDays(day, 1);
    onDay(done + 1, days);
    await new Promise((resolve) => setImmediate(resolve)); // others are answered in between
  }
  await written;
  await applyLateOrders(tx, account, from, addDays(day, -1));
  await listProductsOn(tx, account, world, day, state);
  await tx`
    update quaymarket.account set today = ${day}, state = ${tx.json(state as never)} where account_id = ${account}`;
}

/** Removes a scenario with everything that was done to it. */
export async function dropScenario(sql: MarketDb, account: string): Promise<void> {
  await sql.begin(async (tx) => {
    for (const table of FACT_TABLES)
      await tx`delete from quaymarket.${tx.unsafe(table)} where account_id = ${account}`;
    await tx`delete from quaymarket.account where account_id = ${account}`;
  });
}
