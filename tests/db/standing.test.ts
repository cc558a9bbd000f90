import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { USUAL_GUARDS, USUAL_RULE } from '../../src/core/rules';
import type { Rule } from '../../src/core/rules';
import { entitiesOf } from '../../src/core/changes';
import { runDueJobs } from '../../src/server/jobs/runJobs';
import { askForJob } from '../../src/server/jobs/askForJob';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { sendBale } from '../../src/server/changes/sendBale';
import { closeContext, db } from '../../src/server/context/context';
import { loadNights, undoNight } from '../../src/server/standing/nights';
import { loadRules, putRule, saveRule, setGuards } from '../../src/server/standing/rules';
import { playRule } from '../../src/server/standing/play/plays';
import { runNight } from '../../src/server/standing/runNight';
import { tryRule } from '../../src/server/standing/tryRule';
import { THIS_MACHINE } from '../../src/server/trail';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { aShop, because } from './shop';
import type { Shop } from './shop';
import { factsChanged } from '../make/facts';

// Rules that run by night: what they do is what the round proposes, through the same tray.

let shop: Shop;
let account: number;

beforeAll(async () => {
  shop = await aShop({ days: 75 });
  ({ account } = shop);
}, 240_000);
beforeEach(async () => {
  await shop.calm();
  for (const { id } of (await loadRules(account)).rules)
    await putRule(THIS_MACHINE, { account, id, back: false });
  await setGuards(THIS_MACHINE, { account, guards: USUAL_GUARDS });
  // What has moved before is looked at again: these tests are about rules, not about waiting.
  await db()`delete from mowing.rule_night where account_id = ${account}`;
});
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const aRule = (over: Partial<Rule> = {}): Rule => ({
  ...USUAL_RULE,
  name: 'Bids',
  work: 'bids',
  waitDays: 0,
  ...over,
});
const keep = async (rule: Rule) => {
  const { rules } = await saveRule(THIS_MACHINE, { account, rule, isOn: true });
  return rules.at(-1)!.id;
};
/** Tried as it stands, and sending by itself. */
const sending = async (rule: Rule) => {
  const { rules } = await saveRule(THIS_MACHINE, { account, rule, isOn: false });
  const { id } = rules.at(-1)!;
  await tryRule(THIS_MACHINE, { account, id, rule: { ...rule, sends: true }, nights: 1, back: 0 });
  await playRule(THIS_MACHINE, { account, id, weeks: 1, markets: 1 });
  await saveRule(THIS_MACHINE, { account, id, rule: { ...rule, sends: true }, isOn: true });
  return id;
};
const nights = async () => (await loadNights(account)).nights;
const staged = () => loadChanges(account, { state: 'staged' });

describe('a night', () => {
  test('puts what the round proposes to the tray, marked with its rule; asked again it does nothing twice', async () => {
    const id = await keep(aRule());
    const { nights: told } = await runNight(account);
    expect(told[0].made).toBeGreaterThan(3);
    const list = await staged();
    expect(list).toHaveLength(told[0].made);
    const [night] = await nights();
    for (const { figures, reason } of list) {
      expect(figures).toMatchObject({ rule: id, night: night.id });
      expect(reason).not.toBe('');
    }
    expect((await runNight(account)).words).toBe('No rule is due.');
    expect(await staged()).toHaveLength(told[0].made);
    expect(night).toMatchObject({ state: 'done', staged: told[0].made, made: told[0].made, baleId: null });
  });

  test('looked at only writes nothing down', async () => {
    await keep(aRule());
    const { nights: told } = await runNight(account, { isDry: true });
    expect(told[0].made).toBeGreaterThan(3);
    expect([await staged(), await nights()]).toEqual([[], []]);
  });

  test('of one campaign goes before that of the account, and the account’s says who had it', async () => {
    const { nights: all } = await (await keep(aRule({ name: 'Wide' })), runNight(account, { isDry: true }));
    const campaignId = (
      await db()<{ id: number }[]>`
      select g.campaign_id as id from mowing.target t join mowing.ad_group g on g.account_id = t.account_id and g.ad_group_id = t.ad_group_id
      where t.account_id = ${account} and t.target_id = ${Number(all[0].goes[0].subject.split(' ')[1])}`
    )[0].id;
    await keep(
      aRule({ name: 'Near', scope: { kind: 'campaign', id: campaignId }, step: { down: 0.05, up: 0.05 } }),
    );
    const { nights: told } = await runNight(account, { isDry: true });
    const [wide, near] = ['Wide', 'Near'].map((name) => told.find(({ rule }) => rule.rule.name === name)!);
    expect(near.made).toBeGreaterThan(0);
    expect(wide.leftOut).toMatchObject([{ why: 'another rule', count: near.made, rules: ['Near'] }]);
    expect(wide.made + near.made).toBe(all[0].made);
  });

  test('makes no more changes than its rail allows; what counts most comes first', async () => {
    await keep(aRule({ most: { changes: 2, spend: 1e12 } }));
    const { nights: told } = await runNight(account);
    expect(told[0].made).toBe(2);
    expect(told[0].leftOut).toMatchObject([{ why: 'changes' }]);
    expect(await staged()).toHaveLength(2);
  });

  test('does not look while a day is missing, says so, and is made up once when the day has come', async () => {
    await keep(aRule());
    const [{ day }] = await db()<{ day: string }[]>`
      delete from mowing.sync_day where account_id = ${account} and kind = 'targets'
        and day = (select max(day) - 3 from mowing.sync_day where account_id = ${account} and kind = 'targets') returning day`;
    expect((await runNight(account)).words).toMatch(/did not look. The report of targets lacks/);
    expect(await nights()).toMatchObject([{ state: 'skipped', made: 0 }]);
    await db()`
      insert into mowing.sync_day (account_id, kind, day, as_of, rows)
      select account_id, kind, ${day}, as_of, rows from mowing.sync_day where account_id = ${account} and kind = 'targets' limit 1`;
    await runNight(account);
    expect(await nights()).toMatchObject([{ state: 'done' }]);
  });

  test('is held by the one switch, and nothing is lost of it', async () => {
    const id = await keep(aRule());
    await setGuards(THIS_MACHINE, { account, guards: { ...USUAL_GUARDS, isStopped: true } });
    expect((await runNight(account)).words).toMatch(/one switch/);
    expect(await staged()).toEqual([]);
    const { rules } = await setGuards(THIS_MACHINE, { account, guards: USUAL_GUARDS });
    expect(rules).toMatchObject([{ id, isOn: true }]);
    expect((await runNight(account)).nights).toHaveLength(1);
  });
});

test('a run that was cut off on an earlier day is taken back, and that night is not sent late', async () => {
  await keep(aRule());
  await runNight(account);
  const old = (await staged()).map(({ id }) => id);
  await db()`update mowing.rule_night set state = 'planned', sends = true, day = day - 1 where account_id = ${account}`;
  const { nights: told } = await runNight(account);
  const list = await staged();
  expect(told[0].made).toBe(old.length);
  expect(list.map(({ id }) => id).some((id) => old.includes(id))).toBe(false);
  expect(await nights()).toMatchObject([
    { state: 'done', staged: list.length },
    { state: 'done', staged: 0, why: expect.stringMatching(/taken back/) },
  ]);
});

describe('a rule', () => {
  test('sends by itself only once it was tried as it stands; changed, it has to be tried again', async () => {
    const rule = aRule({ sends: true });
    await expect(saveRule(THIS_MACHINE, { account, rule, isOn: true })).rejects.toThrow(/once it was tried/);
    const id = await sending(aRule());
    await expect(
      saveRule(THIS_MACHINE, { account, id, rule: { ...rule, step: { down: 0.5, up: 0.5 } }, isOn: true }),
    ).rejects.toThrow(/once it was tried/);
    // How often it runs and what it is called change nothing of what it does.
    const renamed: Rule = { ...rule, name: 'Weekly', rhythm: { kind: 'every', days: 7 } };
    expect((await saveRule(THIS_MACHINE, { account, id, rule: renamed })).rules).toMatchObject([
      { isOn: true },
    ]);
  });

  test('that cannot be carried out is told with everything that is wrong', async () => {
    const rule = aRule({
      work: 'by hand',
      scope: { kind: 'campaign', id: 999_999 },
      hand: { conditions: ['acos>=much', 'plan.step<=-1'], percent: -0.2 },
      bid: { low: 500_000, high: 400_000 },
    });
    await expect(saveRule(THIS_MACHINE, { account, rule })).rejects.toThrow(
      /scope is not in the account.*“acos>=much” is no condition.*“plan.step<=-1” is no condition.*lowest bid is above/,
    );
  });

  test('by hand moves the bids of what meets its conditions, and of nothing else', async () => {
    await keep(
      aRule({
        name: 'Dear',
        work: 'by hand',
        hand: { conditions: ['acos>=50', 'clicks>=20'], percent: -0.2 },
      }),
    );
    const { nights: told } = await runNight(account, { isDry: true });
    expect(told[0].goes.length).toBeGreaterThan(0);
    for (const { figures, list } of told[0].goes) {
      expect(figures.clicks).toBeGreaterThanOrEqual(20);
      const { spend, sales } = list[0].figures;
      expect(spend! / sales!).toBeGreaterThanOrEqual(0.5);
      const { change } = list[0];
      if (change.kind !== 'set-bid') throw new Error('no bid');
      expect(Math.abs(change.to / change.from! - 0.8)).toBeLessThan(0.05);
    }
    // What somebody has put to the tray meanwhile is hers.
    const [one] = told[0].goes;
    const { change } = one.list[0];
    if (change.kind !== 'set-bid') throw new Error('no bid');
    await stageChanges(THIS_MACHINE, account, [
      { change: { ...change, to: change.from! + 10_000 }, ...because },
    ]);
    await runNight(account);
    const kept = (await staged()).find(
      ({ change: two }) => two.kind === 'set-bid' && two.targetId === change.targetId,
    )!;
    expect(kept.change).toMatchObject({ to: change.from! + 10_000 });
    expect(kept.figures.rule).toBeUndefined();
  });

  test('tried on the past knows no day that came later, and what it did then moves nothing now', async () => {
    const rule = aRule();
    const { nights: past, why } = await tryRule(THIS_MACHINE, { account, rule, nights: 5, back: 0 });
    expect([past.length, why]).toEqual([5, null]);
    expect(past.map(({ day }) => day)).toEqual([...past.map(({ day }) => day)].sort().reverse());
    expect(past.some(({ made }) => made > 0)).toBe(true);
    // Tonight is what a night would do now.
    await keep(rule);
    const [tonight] = (await runNight(account, { isDry: true })).nights;
    expect(past[0].made).toBe(tonight.made);
    expect(await staged()).toEqual([]);
  });
});

describe('a rule that sends by itself', () => {
  test('works each night of passing days, each a bale of its own; a night is taken back as a whole', async () => {
    const id = await sending(
      aRule({ rhythm: { kind: 'every', days: 2 }, most: { changes: 3, spend: 1e12 } }),
    );
    await askForJob(THIS_MACHINE, account, 'advance', { days: 6 });
    await runDueJobs();
    const own = await nights();
    expect(own.length).toBeGreaterThanOrEqual(3);
    for (const night of own) {
      expect(night).toMatchObject({ ruleId: id, state: 'done', accepted: night.made, refused: 0 });
      expect(night.made).toBeLessThanOrEqual(3);
    }
    expect(new Set(own.map(({ day }) => day)).size).toBe(own.length);
    const bales = own.flatMap(({ baleId }) => baleId ?? []);
    expect(new Set(bales).size).toBe(bales.length);

    const last = own.find(({ made }) => made > 0)!;
    const { staged: undoing } = await undoNight(THIS_MACHINE, { account, night: last.id });
    expect(undoing).toHaveLength(last.made);
    const before = (await loadChanges(account, { baleId: last.baleId! })).map(({ change }) => change);
    await sendBale(THIS_MACHINE, account, undoing);
    const bids = await db()<{ id: number; bid: number }[]>`
      select target_id as id, bid_micros as bid from mowing.target where account_id = ${account}`;
    for (const change of before)
      if (change.kind === 'set-bid')
        expect(bids.find(({ id: target }) => target === entitiesOf(change).target)!.bid).toBe(change.from);
    expect((await nights()).find((one) => one.id === last.id)).toMatchObject({ undone: last.made });
  }, 240_000);

  test('stops itself when a week leaves what is usual, and says why', async () => {
    const id = await sending(aRule());
    const { rules } = await setGuards(THIS_MACHINE, {
      account,
      guards: { ...USUAL_GUARDS, acosBound: 0.0001, spendBound: 0.0001 },
    });
    expect(rules[0].isOn).toBe(true);
    await db()`
      update mowing.target_day set spend_micros = spend_micros * 3 where account_id = ${account}
        and day > (select max(day) - 12 from mowing.target_day where account_id = ${account})`;
    await factsChanged(account);
    const { words } = await runNight(account);
    expect(words).toMatch(/did not look. The last week spent .* more than is usual/);
    expect((await loadRules(account)).rules).toMatchObject([
      { id, isOn: false, stoppedWhy: expect.stringMatching(/more than is usual/) },
    ]);
    expect(await nights()).toMatchObject([{ state: 'skipped' }]);
    // Left off, it warns no more.
    const { rules: left } = await saveRule(THIS_MACHINE, { account, id, rule: rules[0].rule, isOn: false });
    expect(left).toMatchObject([{ isOn: false, stoppedWhy: null }]);
  });
});
