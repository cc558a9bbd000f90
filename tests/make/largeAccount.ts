import { REPORT_KINDS } from '../../src/contract/reportFields';
import { addDays } from '../../src/core/units';
import { insertAccount } from '../../src/db/queries/accounts';
import { refreshStatistics } from '../../src/db/queries/statistics';
import { widenCoverage } from '../../src/db/queries/coverage';
import { db } from '../../src/server/context/context';
import { factsChanged } from './facts';

/** Last day with figures. */
export const LAST = '2026-11-22';
const PER_CAMPAIGN = 32;
const PRODUCTS = 200;
const LINES = 12;

interface Sizes {
  targets: number;
  /** Days with figures of targets. */
  days: number;
  /** Pairs of a target and a search term; with them come placements, hours, sales, and ranks of some. */
  terms?: number;
}

/** How a target sells, by its number: nothing, dearly, well. */
const ORDERS = `case when t.target_id % 10 < 3 then 0 when t.target_id % 10 < 6 then (d % 6 = 0)::integer else (d % 2 = 0)::integer end`;

/** A large account straight in the database, each target with figures on a third of the days. @returns its id */
export async function aLargeAccount({ targets, days, terms = 0 }: Sizes): Promise<number> {
  const account = await insertAccount(db(), { name: `Made ${targets}`, currency: 'EUR', targetAcos: 0.25 });
  await db()`update mowing.account set market_day = '2026-11-23' where account_id = ${account}`;
  await makeStructure(account, Math.round(targets / PER_CAMPAIGN));
  await makeTargets(account, days);
  if (terms > 0) {
    await makeTerms(account, terms);
    await makeCampaignFacts(account);
    await makeProductFacts(account);
  }
  for (const kind of terms > 0 ? REPORT_KINDS : (['targets'] as const))
    await widenCoverage(db(), account, kind, addDays(LAST, 1 - days), LAST);
  await factsChanged(account);
  // As after an import of so many rows.
  await refreshStatistics(db());
  return account;
}

async function makeStructure(account: number, campaigns: number) {
  await db()`insert into mowing.product_line (account_id, name) select ${account}, 'Line ' || n from generate_series(1, ${LINES}) n`;
  await db()`
    insert into mowing.product (account_id, line_id, item_code, name, price_micros)
    select ${account}, (select min(line_id) from mowing.product_line where account_id = ${account}) + n % ${LINES}, 'B0MADE' || lpad(n::text, 4, '0'), 'Product ' || n, 18900000
    from generate_series(1, ${PRODUCTS}) n`;
  await db()`
    insert into mowing.campaign (account_id, name, budget_micros, budget_kind)
    select ${account}, 'Campaign ' || n, 20000000, 'daily' from generate_series(1, ${campaigns}::integer) n`;
  await db()`
    insert into mowing.ad_group (account_id, campaign_id, name, product_id)
    select ${account}, campaign_id, 'all', (select min(product_id) from mowing.product where account_id = ${account}) + campaign_id % ${PRODUCTS}
    from mowing.campaign where account_id = ${account}`;
  await db()`
    insert into mowing.ad (account_id, ad_group_id, product_id)
    select account_id, ad_group_id, product_id from mowing.ad_group where account_id = ${account}`;
  await db()`
    insert into mowing.target (account_id, ad_group_id, kind, match, expression, bid_micros)
    select ${account}, g.ad_group_id, 'keyword', 'exact', 'term ' || n, 400000
    from mowing.ad_group g, generate_series(1, ${PER_CAMPAIGN}) n where g.account_id = ${account}`;
}

const partitions = (table: string, days: number) =>
  db()`select mowing.ensure_partitions(${table}, array(select ${LAST}::date - n from generate_series(0, ${days}::integer) n))`;

async function makeTargets(account: number, days: number) {
  await partitions('target_day', days);
  await db()`
    insert into mowing.target_day (account_id, day, target_id, impressions, clicks, orders, units, spend_micros, sales_micros)
    select ${account}, ${LAST}::date - d, t.target_id, 40, 3, o.n, o.n, 1230000, o.n * 18900000::bigint
    from generate_series(0, ${days - 1}::integer) d, mowing.target t, lateral (select ${db().unsafe(ORDERS)} as n) o
    where t.account_id = ${account} and hashint4(t.target_id * 1000 + d) % 3 = 0`;
}

/** One of nine was clicked, and of those a part sold. */
async function makeTerms(account: number, pairs: number) {
  await partitions('term_day', 30);
  await db()`
    insert into mowing.term (account_id, text, first_day)
    select ${account}, 'jar ' || n % 97 || ' number ' || n, ${LAST}::date - 40 from generate_series(1, ${Math.round(pairs / 3)}::integer) n`;
  await db()`
    insert into mowing.term_day (account_id, day, target_id, term_id, impressions, clicks, orders, units, spend_micros, sales_micros)
    select ${account}, ${LAST}::date - n % 28, firsts.target + n % firsts.targets, firsts.term + (n * 7) % firsts.terms, 30, clicked.times, sold.times, sold.times,
      clicked.times * 410000, sold.times * 18900000::bigint
    from (select min(target_id) as target, count(*) as targets,
        (select min(term_id) from mowing.term where account_id = ${account}) as term,
        (select count(*) from mowing.term where account_id = ${account}) as terms
      from mowing.target where account_id = ${account}) firsts,
      generate_series(1, ${pairs}::integer) n,
      lateral (select case when n % 9 = 0 then 12 else 0 end as times) clicked,
      lateral (select case when n % 36 = 0 then 2 else 0 end as times) sold`;
}

async function makeCampaignFacts(account: number) {
  await partitions('placement_day', 30);
  await partitions('campaign_hour', 30);
  await db()`
    insert into mowing.placement_day
    select ${account}, ${LAST}::date - d, campaign_id, p, 400, 30, o.n, o.n, 12300000, o.n * 18900000::bigint
    from generate_series(0, 29) d, mowing.campaign, generate_series(0, 2) p, lateral (select (p = 0 or d % 5 = 0)::integer * 2 as n) o
    where account_id = ${account}`;
  await db()`
    insert into mowing.campaign_hour
    select ${account}, ${LAST}::date - d, campaign_id, h, 100, 8, o.n, o.n, 3280000, o.n * 18900000::bigint
    from generate_series(0, 6) d, mowing.campaign, generate_series(0, 23, 3) h, lateral (select (h > 11)::integer as n) o
    where account_id = ${account}`;
}

async function makeProductFacts(account: number) {
  await partitions('product_day', 30);
  await partitions('rank_day', 30);
  await db()`
    insert into mowing.product_day
    select ${account}, ${LAST}::date - d, product_id, 6, 7, 132300000, 0, 0
    from generate_series(0, 29) d, mowing.product where account_id = ${account}`;
  await db()`
    insert into mowing.rank_day
    select ${account}, ${LAST}::date - d * 7, p.product_id, t.term_id, 20 + d * 5, 4000
    from generate_series(0, 3) d, mowing.product p,
      lateral (select term_id from mowing.term where account_id = ${account} order by term_id limit 5) t
    where p.account_id = ${account}`;
}
