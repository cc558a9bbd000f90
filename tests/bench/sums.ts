import { pack } from '../../src/contract/packed';
import { db } from '../../src/server/context/context';
import { loadFieldSums } from '../../src/server/field/loadFieldSums';
import { aLargeAccount, LAST } from '../make/largeAccount';
import { median, say, timed } from './timed';

const SIZES = [10_000, 100_000];
const ROUNDS = 5;

/**
 * The sums of every target over 30 of 90 days, from the request to the bytes of its answer, beside the bare SQL.
 * @param withLargest what else is measured on the largest account, while it is there
 */
export async function benchSums(withLargest: (account: number) => Promise<void>): Promise<void> {
  const seconds: Record<number, number> = {};
  await db()`select mowing.ensure_partitions('term_day', array[${LAST}::date])`;
  for (const targets of SIZES) {
    say(`Making an account of ${targets.toLocaleString('en')} targets …`);
    const account = await aLargeAccount({ targets, days: 90 });
    await db()`vacuum analyze mowing.target_day`;
    const bare: number[] = [];
    const whole: number[] = [];
    let bytes = 0;
    for (let round = 0; round < ROUNDS; round += 1) {
      bare.push((await timed(() => bareSums(account))).seconds);
      const answer = await timed(async () => {
        const [from, to] = ['2026-10-24', '2026-11-22'];
        return pack(await loadFieldSums({ account, grain: 'target', from, to })).length;
      });
      whole.push(answer.seconds);
      bytes = answer.value;
    }
    seconds[targets] = median(whole);
    const ms = (time: number) => `${Math.round(time * 1000)} ms`;
    say(`bare SQL              ${ms(median(bare))}`);
    say(`sums, ready as bytes  ${ms(median(whole))}   (${(bytes / 1e6).toFixed(1)} MB)`);
    say(`sums / bare SQL       ${(median(whole) / median(bare)).toFixed(2)}   (bar: at most 1.5)`);
    if (targets === SIZES.at(-1)) await withLargest(account);
    await db()`select mowing.delete_account(${account})`;
    if (targets === SIZES[0]) continue;
    say(
      `10 x the targets take ${(seconds[SIZES[1]] / seconds[SIZES[0]]).toFixed(1)} x the time   (linear: 10)`,
    );
  }
}

/** The floor: the sums alone of both windows, run in the database, whose rows nobody takes. */
async function bareSums(account: number) {
  await db()`
    explain (analyze, timing off) select f.target_id, sum(f.impressions) filter (where f.day >= '2026-10-24'), sum(f.clicks) filter (where f.day >= '2026-10-24'),
      sum(f.spend_micros) filter (where f.day >= '2026-10-24'), sum(f.orders) filter (where f.day >= '2026-10-24'),
      sum(f.units) filter (where f.day >= '2026-10-24'), sum(f.sales_micros) filter (where f.day >= '2026-10-24'),
      sum(f.impressions) filter (where f.day < '2026-10-24'), sum(f.clicks) filter (where f.day < '2026-10-24'),
      sum(f.spend_micros) filter (where f.day < '2026-10-24'), sum(f.orders) filter (where f.day < '2026-10-24'),
      sum(f.units) filter (where f.day < '2026-10-24'), sum(f.sales_micros) filter (where f.day < '2026-10-24')
    from mowing.target_day f where f.account_id = ${account} and f.day between '2026-09-24' and '2026-11-22' group by f.target_id`;
}
