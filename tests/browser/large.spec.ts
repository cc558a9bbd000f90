import { expect, test } from '@playwright/test';
import { VISITS } from '../bench/large/visits';
import { painted } from '../bench/large/watch';
import { freshStage, stageDatabase, watch } from './page';

// A large account, made straight in the database: what counts here is that every place bears it. How quickly is told by the bench.

test.beforeAll(freshStage);

/** Those that between them load and compute everything; the bench visits all. */
const HEAVIEST = [
  'Field, keywords',
  'Field, search terms',
  'Round, overpaying',
  'Round, negatives',
  'Words, word parts',
];

test('an account of 100,000 targets and 500,000 terms shows rows where most is loaded, and no fault', async ({
  page,
}) => {
  test.setTimeout(480_000);
  process.env.DATABASE_URL = stageDatabase();
  const { aLargeAccount } = await import('../make/largeAccount');
  const { closeContext } = await import('../../src/server/context/context');
  const account = await aLargeAccount({ targets: 100_000, days: 30, terms: 500_000 });
  await closeContext();
  const faults = watch(page);
  const visits = VISITS.filter(({ name }) => HEAVIEST.includes(name));
  expect(visits).toHaveLength(HEAVIEST.length);
  for (const { name, at, sign } of visits)
    await test.step(name, async () => {
      await page.goto(`${at}${at.includes('?') ? '&' : '?'}account=${account}`);
      await painted(page, sign, 120_000);
    });
  expect(faults).toEqual([]);
});
