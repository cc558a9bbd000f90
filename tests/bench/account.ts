import { insertAccount } from '../../src/db/queries/accounts';
import { db } from '../../src/server/context/context';
import { factsChanged } from '../make/facts';

const DAYS = 90;
/** Last day with figures. */
export const LAST = '2026-11-22';

/** An account with so many targets, each with figures on a third of 90 days, at random. */
export async function anAccount(targets: number): Promise<number> {
  const account = await insertAccount(db(), { name: `Bench ${targets}`, currency: 'EUR', targetAcos: 0.25 });
  await db()`update mowing.account set market_day = '2026-11-23' where account_id = ${account}`;
  await db()`
    insert into mowing.campaign (account_id, name) select ${account}, 'Campaign ' || n from generate_series(1, ${Math.round(targets / 32)}::integer) n`;
  await db()`
    insert into mowing.ad_group (account_id, campaign_id, name) select ${account}, campaign_id, 'all' from mowing.campaign where account_id = ${account}`;
  await db()`
    insert into mowing.target (account_id, ad_group_id, kind, match, expression, bid_micros)
    select ${account}, g.ad_group_id, 'keyword', 'exact', 'term ' || n, 400000
    from mowing.ad_group g, generate_series(1, 32) n where g.account_id = ${account}`;
  await db()`select mowing.ensure_partitions('target_day', array(select ${LAST}::date - n from generate_series(0, ${DAYS}::integer) n))`;
  await db()`
    insert into mowing.target_day (account_id, day, target_id, impressions, clicks, orders, units, spend_micros, sales_micros)
    select ${account}, ${LAST}::date - d, t.target_id, 40, 3, 0, 0, 1230000, 0
    from generate_series(0, ${DAYS - 1}::integer) d, mowing.target t
    where t.account_id = ${account} and hashint4(t.target_id * 1000 + d) % 3 = 0`;
  await db()`insert into mowing.term_day values (${account}, ${LAST}, 1, 1, 0, 0, 0, 0, 0, 0) on conflict do nothing`.catch(
    () => {},
  );
  await factsChanged(account);
  return account;
}
