import { afterAll, beforeAll, expect, test } from 'vitest';
import { USUAL_PLACEMENT_ASKS } from '../../src/core/placements';
import { USUAL_RULE } from '../../src/core/rules';
import type { Rule } from '../../src/core/rules';
import { sendBale } from '../../src/server/changes/sendBale';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { closeContext, db } from '../../src/server/context/context';
import { keepSwath, loadSwaths, removeSwath } from '../../src/server/field/swaths';
import { changeChoices } from '../../src/server/plans/choices';
import { playRule } from '../../src/server/standing/play/plays';
import { loadRules, putRule, saveRule } from '../../src/server/standing/rules';
import { runNight } from '../../src/server/standing/runNight';
import { loadTests } from '../../src/server/standing/tests/loadTests';
import { tryRule } from '../../src/server/standing/tryRule';
import { wantedBy } from '../../src/server/standing/wanted';
import { THIS_MACHINE } from '../../src/server/trail';
import { aShop, because } from './shop';
import type { Shop } from './shop';

// What rules work in, and what they ask for: swaths, placements, new terms, and days that are past.

let shop: Shop;
let account: number;

beforeAll(async () => {
  shop = await aShop({ days: 75 });
  ({ account } = shop);
}, 240_000);
afterAll(async () => {
  await shop.end();
  await closeContext();
});

const aRule = (over: Partial<Rule>): Rule => ({ ...USUAL_RULE, name: 'Scoped', work: 'bids', ...over });
const wanted = async (over: Partial<Rule>, on?: string) =>
  (await wantedBy(account, undefined, aRule(over), on)).wanted;

test('a rule in a swath works on its rows alone, on those it was tried with, whatever becomes of the swath', async () => {
  const kept = await keepSwath(THIS_MACHINE, account, {
    name: 'Busy',
    lens: 'targets',
    conditions: ['clicks>=40'],
    sort: '',
    from: null,
    to: null,
  });
  const { id: _, sort: __, ...swath } = (await loadSwaths(account)).find(({ id }) => id === kept.id)!;
  const all = await wanted({});
  const own = await wanted({ scope: { kind: 'swath', id: 0 }, swath });
  expect(own.length).toBeGreaterThan(0);
  expect(own.length).toBeLessThan(all.length);
  expect(own.map(({ subject }) => subject)).toEqual(
    all.filter(({ figures }) => figures.clicks >= 40).map(({ subject }) => subject),
  );
  await removeSwath(THIS_MACHINE, account, kept.id);
  expect(await wanted({ scope: { kind: 'swath', id: 0 }, swath })).toHaveLength(own.length);
});

test('a swath that holds nothing a work is on, or asks what only a plan tells, is refused in words', async () => {
  const save = (work: Rule['work'], lens: 'terms' | 'targets', conditions: string[]) =>
    saveRule(THIS_MACHINE, {
      account,
      rule: aRule({
        work,
        scope: { kind: 'swath', id: 0 },
        swath: { name: 'Odd', lens, conditions, from: null, to: null },
      }),
    });
  await expect(save('budgets', 'targets', ['clicks>=40'])).rejects.toThrow(
    'A swath of targets holds nothing that this work is on.',
  );
  await expect(save('bids', 'targets', ['plan.step=over'])).rejects.toThrow('is no condition for a rule');
  await expect(save('bids', 'targets', [])).rejects.toThrow('has no conditions');
  await expect(save('negatives', 'terms', ['clicks>=5'])).resolves.toBeDefined();
  const none = { market: false, campaigns: false, match: 'exact', most: 1 } as const;
  await expect(
    saveRule(THIS_MACHINE, { account, rule: aRule({ work: 'new terms', newTerms: none }) }),
  ).rejects.toThrow('Say where new terms come from');
});

test('a night that is past is looked at with the bids of then, whatever was changed since', async () => {
  const hand = { conditions: ['clicks>=40'], percent: -0.1 };
  const byHand = (on?: string) => wanted({ work: 'by hand', hand }, on);
  const [{ list }] = await byHand();
  const { change } = list[0];
  if (change.kind !== 'set-bid') throw new Error('no bid is moved');
  const ids = await stageChanges(THIS_MACHINE, account, [{ ...because, change }]);
  await sendBale(
    THIS_MACHINE,
    account,
    ids.flatMap((id) => id ?? []),
  );
  const [{ day: today }] = await db()<{ day: string }[]>`
    select market_day as day from mowing.account where account_id = ${account}`;
  await shop.pass(1);
  const fromOf = (all: Awaited<ReturnType<typeof wanted>>) =>
    all.flatMap(({ list: [one] }) =>
      one.change.kind === 'set-bid' && one.change.targetId === change.targetId ? [one.change.from] : [],
    );
  expect(fromOf(await byHand(today))).toEqual([change.from]);
  expect(fromOf(await byHand())).toEqual([change.to]);
  for (const work of ['negatives', 'harvest', 'placements', 'budgets', 'hours'] as const) {
    const { nights, why } = await tryRule(THIS_MACHINE, {
      account,
      rule: aRule({ work }),
      nights: 2,
      back: 1,
    });
    expect([work, why, nights.length]).toEqual([work, null, 2]);
  }
});

test('placements are raised only where they show what is asked, and never beyond their caps', async () => {
  const raises = async (placements: Rule['placements']) =>
    (await wanted({ work: 'placements', placements })).flatMap(({ list }) =>
      list.flatMap(({ change }) =>
        change.kind === 'set-modifier' && change.to > change.from ? [change.to] : [],
      ),
    );
  const free = await raises(null);
  expect(free.length).toBeGreaterThan(0);
  const asking = (least: Partial<(typeof USUAL_PLACEMENT_ASKS)['least']>) =>
    raises({ ...USUAL_PLACEMENT_ASKS, least: { ...USUAL_PLACEMENT_ASKS.least, ...least } });
  expect(await asking({ spend: 1e12 })).toEqual([]);
  expect(await asking({ spend: 0 })).toEqual(free);
  const cap = Math.max(...free) / 2;
  for (const to of await raises({ ...USUAL_PLACEMENT_ASKS, cap })) expect(to).toBeLessThanOrEqual(cap);
});

test('new terms are tried as far as the testing allowance goes, and told among the tests', async () => {
  const rule = aRule({
    name: 'New',
    work: 'new terms',
    newTerms: { market: true, campaigns: true, match: 'exact', most: 5 },
  });
  const costs = (list: Awaited<ReturnType<typeof wanted>>) => list.map(({ spend }) => spend);
  await changeChoices(THIS_MACHINE, { account, bids: { testCap: 1_000_000_000 } });
  const free = costs(await wanted(rule));
  expect(free.length).toBeGreaterThan(2);
  const cap = free[0] + free[1];
  await changeChoices(THIS_MACHINE, { account, bids: { testCap: cap } });
  const all = await wanted(rule);
  expect(all.length).toBeGreaterThan(2);
  const made = all.filter(({ isBeyondAllowance }) => !isBeyondAllowance);
  expect(made).toHaveLength(2);
  const texts = made.map(({ name }) => name);
  const there = await db()`
    select 1 from mowing.target where account_id = ${account} and kind = 'keyword' and expression = any(${texts})`;
  expect(there).toHaveLength(0);
  for (const { id } of (await loadRules(account)).rules)
    await putRule(THIS_MACHINE, { account, id, back: false });
  const { rules } = await saveRule(THIS_MACHINE, { account, rule });
  const { id } = rules.at(-1)!;
  await tryRule(THIS_MACHINE, { account, id, rule: { ...rule, sends: true }, nights: 1, back: 0 });
  if (rules.at(-1)!.canPlay) await playRule(THIS_MACHINE, { account, id, weeks: 1, markets: 1 });
  await saveRule(THIS_MACHINE, { account, id, rule: { ...rule, sends: true }, isOn: true });
  await runNight(account);
  await shop.pass(1);
  const { tested, allowances } = await loadTests(account);
  expect(tested.map(({ name }) => name).sort()).toEqual([...texts].sort());
  expect(allowances[0].used).toBe(cap);
  // The allowance is used up: the next night tries nothing more.
  expect((await wanted(rule)).every(({ isBeyondAllowance }) => isBeyondAllowance)).toBe(true);
});
