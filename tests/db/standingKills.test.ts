import { spawn } from 'node:child_process';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { USUAL_RULE } from '../../src/core/rules';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { resumeBales } from '../../src/server/changes/sendBale';
import { closeContext, db } from '../../src/server/context/context';
import { loadNights } from '../../src/server/standing/nights';
import { saveRule } from '../../src/server/standing/rules';
import { playRule } from '../../src/server/standing/play/plays';
import { runNight } from '../../src/server/standing/runNight';
import { tryRule } from '../../src/server/standing/tryRule';
import { THIS_MACHINE } from '../../src/server/trail';
import { aShop } from './shop';
import type { Shop } from './shop';

// A run that is killed in the middle goes on or is taken back: nothing is doubled, nothing is lost.

let shop: Shop;
let account: number;

beforeAll(async () => {
  shop = await aShop({ days: 75 });
  ({ account } = shop);
  const rule = { ...USUAL_RULE, name: 'Bids', work: 'bids', waitDays: 0 } as const;
  const { rules } = await saveRule(THIS_MACHINE, { account, rule, isOn: false });
  await tryRule(THIS_MACHINE, { account, id: rules[0].id, rule, nights: 1, back: 0 });
  await playRule(THIS_MACHINE, { account, id: rules[0].id, weeks: 1, markets: 1 });
  await saveRule(THIS_MACHINE, { account, id: rules[0].id, rule: { ...rule, sends: true }, isOn: true });
}, 240_000);
afterAll(async () => {
  await shop.end();
  await closeContext();
});

/** Runs the night as a program of its own, killed after so long. @returns whether it came to its end before */
async function killedAfter(ms: number): Promise<boolean> {
  const child = spawn(process.execPath, ['dist/programs/standing.mjs', '--account', String(account)], {
    env: { ...process.env, MOWING_LOG: 'silent' },
    stdio: 'ignore',
  });
  const ended = new Promise<boolean>((resolve) => child.once('exit', (code) => resolve(code === 0)));
  await Promise.race([ended, sleep(ms)]);
  child.kill('SIGKILL');
  return ended;
}

test('killed at twenty moments of a night, it is done once, with each change once', async () => {
  let seed = 7;
  for (let time = 0; time < 20; time += 1) {
    seed = (seed * 48_271) % 2_147_483_647;
    if (await killedAfter(250 + (seed % 1400))) break;
  }
  // Whatever was handed over is delivered, and the next run closes what is open.
  await resumeBales();
  await runNight(account);
  const { nights } = await loadNights(account);
  expect(nights).toHaveLength(1);
  const [night] = nights;
  expect(night.made).toBeGreaterThan(3);
  expect(night).toMatchObject({ state: 'done', staged: 0, accepted: night.made, refused: 0 });
  const changes = await loadChanges(account, {});
  expect(changes).toHaveLength(night.made);
  expect(new Set(changes.map(({ baleId }) => baleId)).size).toBe(1);
  for (const { change } of changes) {
    if (change.kind !== 'set-bid') continue;
    const [row] = await db()<{ bid: number }[]>`
      select bid_micros as bid from mowing.target where account_id = ${account} and target_id = ${change.targetId}`;
    expect(row.bid).toBe(change.to);
  }
}, 240_000);

test('two runs at once do the night once', async () => {
  await shop.pass(1);
  await Promise.all([runNight(account), runNight(account)]);
  await resumeBales();
  await runNight(account);
  const { nights } = await loadNights(account);
  expect(new Set(nights.map(({ day }) => day)).size).toBe(nights.length);
  for (const night of nights) expect(night).toMatchObject({ state: 'done', accepted: night.made });
}, 60_000);
