import { afterAll, beforeAll, expect, test } from 'vitest';
import { MOST_CHANGES } from '../../src/contract/changes';
import type { NewChange } from '../../src/contract/changes';
import { stageRequest } from '../../src/contract/changeSchemas';
import type { AccountRow } from '../../src/db/queries/accounts';
import { countPending } from '../../src/db/queries/changes';
import { listCampaigns } from '../../src/db/queries/structure';
import { loadChanges } from '../../src/server/changes/loadChanges';
import { stageChanges, stageIn } from '../../src/server/changes/stageChanges';
import { closeContext, db } from '../../src/server/context/context';
import { THIS_MACHINE } from '../../src/server/trail';
import { aReport, aReportRow } from '../make/report';
import { anAccount, takeIn } from './account';
import { because } from './shop';

// A tray lists all that it holds: what would not be listed is not put into it.

let account: AccountRow;
let campaignId: number;

beforeAll(async () => {
  account = await anAccount();
  await takeIn(account, aReport({ rows: [aReportRow({ day: '2026-11-20' })] }));
  [{ id: campaignId }] = await listCampaigns(db(), account.id);
  await db()`
    insert into mowing.change (account_id, kind, change, change_key, reason, figures, effect_spend, effect_sales)
    select ${account.id}, 'add-negative', jsonb_build_object('kind', 'add-negative', 'campaignId', ${campaignId}::integer, 'adGroupId', null,
      'match', 'exact', 'expression', 'term ' || n), 'made ' || n, '', '{}', 0, 0
    from generate_series(1, ${MOST_CHANGES - 1}::integer) n`;
});
afterAll(closeContext);

const aNegative = (expression: string): NewChange => ({
  ...because,
  change: { kind: 'add-negative', campaignId, adGroupId: null, match: 'exact', expression },
});
const staged = async () => (await countPending(db(), account.id)).staged;

test('a tray takes the last change that it has room for, and of more than that none, and says so', async () => {
  const two = [aNegative('broken jars'), aNegative('empty jars')];
  await expect(stageChanges(THIS_MACHINE, account.id, two)).rejects.toThrow(
    'The tray holds 10,000 changes at the most, and with these it would hold 10,001.',
  );
  expect(await staged()).toBe(MOST_CHANGES - 1);
  await stageChanges(THIS_MACHINE, account.id, two.slice(0, 1));
  expect(await loadChanges(account.id, { state: 'staged' })).toHaveLength(MOST_CHANGES);
  // What is there already takes no room.
  expect(await stageChanges(THIS_MACHINE, account.id, two.slice(0, 1))).toEqual([null]);
  // A night is not held to it; what waits is staged anew all the same, and nothing beside it.
  const budget = (to: number): NewChange => ({
    ...because,
    change: { kind: 'set-budget', campaignId, from: 5_000_000, to },
  });
  await db().begin((tx) => stageIn(tx, account.id, [budget(6_000_000)]));
  await stageChanges(THIS_MACHINE, account.id, [budget(7_000_000)]);
  expect(await staged()).toBe(MOST_CHANGES + 1);
  await expect(stageChanges(THIS_MACHINE, account.id, [budget(8_000_000), two[1]])).rejects.toThrow('10,002');
});

test('more than that in one request are refused in words that say what to do', () => {
  const changes = Array.from({ length: MOST_CHANGES + 1 }, (_, at) => aNegative(`jar ${at}`));
  const { error } = stageRequest.validate({ account: account.id, changes });
  expect(error?.message).toBe(
    'At most 10,000 changes are taken at once: accept fewer rows, by a condition or a part of the account',
  );
});
