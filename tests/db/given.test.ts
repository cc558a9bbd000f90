import { afterAll, describe, expect, test } from 'vitest';
import { ANYBODY } from '../../src/server/people/visitor';
import { loadGiven } from '../../src/server/given/loadGiven';
import { loadTree } from '../../src/server/field/loadTree';
import { stageChanges } from '../../src/server/changes/stageChanges';
import { closeContext } from '../../src/server/context/context';
import { RIGHTS } from '../../src/contract/people';
import { anAccount, take } from './account';

afterAll(closeContext);

const HEADINGS = 'Date,Campaign,Ad group,Target,Match type,Search term,Impressions,Clicks,Spend,Sales,Orders';

/** An account with so many targets, each with a bid in the tray. */
async function anAccountWithStaged(count: number): Promise<number> {
  const account = await anAccount();
  const lines = Array.from(
    { length: count },
    (_, at) => `2026-11-01,Jars,Lids,jar ${at},exact,jar ${at},10,1,0.20,0,0`,
  );
  await take(account, 'terms', [HEADINGS, ...lines].join('\n'));
  const { targets } = await loadTree(account.id);
  await stageChanges(
    { name: 'Ada', rights: RIGHTS },
    account.id,
    targets.map(({ id }) => ({
      change: { kind: 'set-bid', targetId: id, from: null as never, to: 300_000 },
      reason: 'usual',
      figures: {},
      effect: { spend: 0, sales: 0 },
    })),
  );
  return account.id;
}

const given = (account: number, place = 'field', visitor = ANYBODY) =>
  loadGiven(visitor, place, new URLSearchParams({ account: String(account) }));

describe('what comes with a page', () => {
  test('tells the tray of the account that is named; many changes are left to be asked for', async () => {
    const [few, many] = [await anAccountWithStaged(3), await anAccountWithStaged(101)];
    expect((await given(few)).of).toMatchObject({
      account: few,
      staged: [{}, {}, {}],
      sending: [],
    });
    const { of } = await given(many);
    expect(of?.staged).toBeUndefined();
    expect(of?.revision.tray).toMatch(/^101 /);
  });

  test('tells the round what is put aside, and its days; other places nothing of them', async () => {
    const id = await anAccountWithStaged(1);
    const { of } = await given(id, 'round');
    expect(of).toMatchObject({ aside: { aside: [] }, window: { to: '2026-11-01' } });
    expect((await given(id)).of).not.toHaveProperty('window');
    // What makes no window is left to be asked for: the answer tells what is wrong with it.
    const days = new URLSearchParams({ account: String(id), from: '2026-11-40', to: '2026-11-41' });
    expect((await loadGiven(ANYBODY, 'round', days)).of?.window).toBeUndefined();
  });

  test('tells nothing of an account that whoever asks may not see', async () => {
    const id = await anAccountWithStaged(1);
    const stranger = { ...ANYBODY, rightsOn: (account: number) => (account === id ? null : RIGHTS) };
    const told = await given(id, 'field', stranger);
    expect(told.of).toBeNull();
    expect(told.accounts.map((one) => one.id)).not.toContain(id);
  });
});
