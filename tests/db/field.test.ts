import { buildLens } from '../../src/core/lenses';
import { indexTree } from '../../src/core/structure';
import { addDays } from '../../src/core/units';
import { THIS_MACHINE } from '../../src/server/trail';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { AccountRow } from '../../src/db/queries/accounts';
import { closeContext, db } from '../../src/server/context/context';
import { tableFile } from '../../src/server/exports/tableFile';
import { loadFieldSums } from '../../src/server/field/loadFieldSums';
import { loadHistory } from '../../src/server/field/loadHistory';
import { loadOverview, setMonthGoal } from '../../src/server/field/loadOverview';
import { loadRowDays, loadRowPeriods, loadSparks } from '../../src/server/field/loadRowDays';
import { addNote, loadNotes, removeNote } from '../../src/server/field/notes';
import { keepSwath, loadSwaths, removeSwath } from '../../src/server/field/swaths';
import { loadTree } from '../../src/server/field/loadTree';
import { toGrainSums } from '../../src/plans/field';
import { aReport, aReportRow } from '../make/report';
import { anAccount, takeIn } from './account';
import { told } from '../make/told';

let account: AccountRow;

/** Two targets with three days each: one day in the window before. */
beforeAll(async () => {
  account = await anAccount();
  await db()`update mowing.account set market_day = '2026-11-23' where account_id = ${account.id}`;
  const rows = ['2026-11-01', '2026-11-08', '2026-11-10'].flatMap((day) => [
    aReportRow({
      day,
      term: 'jar “5 l”',
      impressions: 90,
      clicks: 5,
      spend: '2.50',
      orders: 1,
      sales: '20.00',
    }),
    aReportRow({
      day,
      term: 'crock',
      targetId: 'T2',
      target: 'wide searches',
      impressions: 30,
      clicks: 1,
      spend: '0.40',
      orders: 0,
      sales: 0,
    }),
  ]);
  await takeIn({ ...account, marketDay: '2026-11-23' }, aReport({ rows }));
});
afterAll(closeContext);

const sumsOf = async (grain: 'target' | 'term') =>
  told(await loadFieldSums({ account: account.id, grain, from: '2026-11-06', to: '2026-11-12' }));

test('campaigns, ad groups and products are the same from the sums of their ad groups as from those of their targets', async () => {
  const index = indexTree(await loadTree(account.id));
  const outline = indexTree(await loadTree(account.id, { targets: 'none' }));
  expect(outline.targets.size).toBe(0);
  const asked = { account: account.id, from: '2026-11-06', to: '2026-11-12' };
  const [byTarget, byAdGroup] = await Promise.all(
    (['target', 'ad-group'] as const).map(async (grain) =>
      toGrainSums(await loadFieldSums({ ...asked, grain })),
    ),
  );
  expect([byTarget.grainSums.size, byAdGroup.grainSums.size]).toEqual([2, 1]);
  for (const lens of ['campaigns', 'ad-groups', 'products'] as const)
    expect(buildLens(lens, outline, byAdGroup.grainSums)).toEqual(buildLens(lens, index, byTarget.grainSums));
  expect(buildLens('campaigns', outline, byAdGroup.grainSums).now.clicks).toEqual(Float64Array.of(12));
});

test('rows by week and month add up to their days, a week parted by the months it lies in', async () => {
  const { columns } = await sumsOf('target');
  const first = columns.targetId[columns.clicks.indexOf(10)];
  const ask = {
    account: account.id,
    lens: 'auto',
    ids: [first],
    parts: [],
    from: '2026-10-20',
    to: '2026-11-12',
  } as const;
  const by = async (...steps: ('week' | 'month')[]) => {
    const { n, start, clicks, spend } = await loadRowPeriods({ ...ask, ids: [first], parts: [], steps });
    return start.map((day, at) => [n[at], day, clicks[at], spend[at]]).sort();
  };
  expect(await by('week')).toEqual([
    [1, '2026-10-26', 5, 2_500_000],
    [1, '2026-11-02', 5, 2_500_000],
    [1, '2026-11-09', 5, 2_500_000],
  ]);
  expect(await by('month')).toEqual([[1, '2026-11-01', 15, 7_500_000]]);
  expect((await by('week', 'month'))[0][1]).toBe('2026-11-01');
});

describe('the sums of the field', () => {
  test('hold the window and the one before it, each row once, money to the last micro', async () => {
    const { window, before, columns } = await sumsOf('target');
    expect([window.from, before.from, before.to]).toEqual(['2026-11-06', '2026-10-30', '2026-11-05']);
    const at = columns.clicks.indexOf(10);
    expect(columns.targetId).toHaveLength(2);
    expect(columns.spend[at]).toBe(5_000_000);
    expect(columns.spendBefore[at]).toBe(2_500_000);
    expect(columns.salesBefore[at]).toBe(20_000_000);
  });

  test('of search terms bring their texts, whatever signs are in them', async () => {
    const { columns, terms } = await sumsOf('term');
    const at = columns.clicks.indexOf(10);
    expect(terms.text[terms.id.indexOf(columns.termId[at])]).toBe('jar “5 l”');
  });

  test('of an account without data are empty columns, not an error', async () => {
    const empty = await anAccount();
    const answer = told(await loadFieldSums({ account: empty.id, grain: 'term' }));
    expect(answer.columns.clicks).toEqual([]);
    expect(answer.terms.text).toEqual([]);
  });
});

describe('days of rows', () => {
  const asked = async () => {
    const { columns } = await sumsOf('term');
    return {
      account: account.id,
      lens: 'terms' as const,
      ids: columns.targetId,
      parts: columns.termId,
      from: '2026-11-01',
      to: '2026-11-10',
    };
  };

  test('are summed over all rows asked for', async () => {
    const { days } = await loadRowDays(await asked());
    expect(days.map(({ day, clicks }) => [day, clicks])).toEqual([
      ['2026-11-01', 6],
      ['2026-11-08', 6],
      ['2026-11-10', 6],
    ]);
  });

  test('of targets are those of their terms where no report tells them by target', async () => {
    const { columns } = await sumsOf('target');
    const { parts: _, ...rows } = await asked();
    const { days } = await loadRowDays({ ...rows, lens: 'auto', ids: columns.targetId, parts: [] });
    expect(days.map(({ day, clicks }) => [day, clicks])).toEqual([
      ['2026-11-01', 6],
      ['2026-11-08', 6],
      ['2026-11-10', 6],
    ]);
  });

  test('of each row stand at their place, days without figures as zero', async () => {
    const rows = await asked();
    const { spend } = await loadSparks(rows);
    expect(spend).toHaveLength(2);
    const jar = spend.find((line) => line[0] === 2_500_000)!;
    expect(jar).toEqual([2_500_000, 0, 0, 0, 0, 0, 0, 2_500_000, 0, 2_500_000]);
  });

  test('of keys that do not fit are refused with what to do', async () => {
    await expect(loadRowDays({ ...(await asked()), parts: [] })).rejects.toThrow(
      'needs as many parts as ids',
    );
  });
});

describe('what was changed', () => {
  test('is known by the account’s day: for its target, its campaign, the whole account', async () => {
    const tree = await loadTree(account.id);
    const target = tree.targets[0];
    const { campaignId } = tree.adGroups.find(({ id }) => id === target.adGroupId)!;
    const change = { kind: 'set-bid', targetId: target.id, from: 500_000, to: 400_000 };
    await db()`
      insert into mowing.change (account_id, kind, change, change_key, state, reason, answered_at, answered_on)
      values (${account.id}, 'set-bid', ${db().json(change)}, ${`bid ${target.id}`}, 'accepted', 'By hand.', now(), '2026-11-20')`;
    for (const of of [{}, { targetId: target.id }, { campaignId }]) {
      const { changes } = await loadHistory({ account: account.id, from: '2026-11-01', ...of });
      expect(changes.map(({ day, change: what }) => [day, what.kind])).toEqual([['2026-11-20', 'set-bid']]);
    }
    expect((await loadHistory({ account: account.id, from: '2026-11-21' })).changes).toEqual([]);
    // Its campaign says which target it was.
    const ofCampaign = await loadHistory({ account: account.id, from: '2026-11-01', campaignId });
    expect(ofCampaign.changes[0].subject).toBe(target.expression);
    // Below a picture every one is counted, of the rows shown alone.
    const marks = async (lens: 'auto' | 'campaigns', ids: number[]) =>
      (await loadRowDays({ account: account.id, lens, ids, parts: [], from: '2026-11-01', to: '2026-11-30' }))
        .changes;
    const others = tree.targets.filter(({ id }) => id !== target.id).map(({ id }) => id);
    expect(await marks('auto', [target.id])).toEqual([{ day: '2026-11-20', count: 1, change }]);
    expect(await marks('campaigns', [campaignId])).toMatchObject([{ day: '2026-11-20', count: 1 }]);
    expect(await marks('auto', [...others, 999_999])).toEqual([]);
    expect((await loadTree(account.id)).lastChanges).toEqual([
      { entity: 'target', id: target.id, day: '2026-11-20' },
    ]);
  });
});

describe('the overview', () => {
  test('tells every day, and that all sales are not known where no report has told them', async () => {
    const overview = await loadOverview(account.id, { from: '2026-11-06', to: '2026-11-12' });
    expect(overview.days.map(({ day, clicks }) => [day, clicks])).toEqual([
      ['2026-11-01', 6],
      ['2026-11-08', 6],
      ['2026-11-10', 6],
    ]);
    expect(overview.profit).toEqual({ now: null, before: null, unknownSales: 40_000_000 });
    expect(overview.month).toEqual({ goal: null, lastDay: '2026-11-10' });
  });

  test('is compared with any span that is asked for, later ones and a day alone too', async () => {
    const asked = { from: '2026-11-01', to: '2026-11-07', versus: '2026-11-08..2026-11-10' };
    const { before, days } = await loadOverview(account.id, asked);
    expect(before).toEqual({ from: '2026-11-08', to: '2026-11-10', isCovered: true });
    expect(days.map(({ day }) => day)).toContain('2026-11-01');
    const { columns } = told(await loadFieldSums({ account: account.id, grain: 'target', ...asked }));
    const all = (name: string) => columns[name].reduce((sum, one) => sum + one, 0);
    expect([all('clicks'), all('clicksBefore')]).toEqual([6, 12]);
  });

  test('keeps a month’s goal, and takes another value for it', async () => {
    for (const sales of [1_000_000, 2_000_000])
      await setMonthGoal(THIS_MACHINE, account.id, { month: '2026-11-01', sales, spend: null });
    expect((await loadOverview(account.id)).month.goal).toEqual({
      month: '2026-11-01',
      sales: 2_000_000,
      spend: null,
    });
  });
});

test('a window in words is worked out when it is looked at', async () => {
  const windowOf = async (from?: string, to?: string) =>
    told(await loadFieldSums({ account: account.id, grain: 'target', from, to })).window;
  const usual = await windowOf();
  expect(await windowOf('last14', 'settled')).toMatchObject({ from: addDays(usual.to, -13), to: usual.to });
  expect(await windowOf('2026-11-01', 'settled')).toMatchObject({ from: '2026-11-01', to: usual.to });
});

describe('what is kept by hand', () => {
  test('a swath is found by its name; the same name again replaces it; removed twice it says so', async () => {
    const swath = {
      name: 'Far over',
      lens: 'keywords' as const,
      conditions: ['clicks>=10|orders>=1'],
      sort: '-loss',
      from: 'last14',
      to: 'settled',
    };
    await keepSwath(THIS_MACHINE, account.id, { ...swath, conditions: [] });
    const { id } = await keepSwath(THIS_MACHINE, account.id, swath);
    expect(await loadSwaths(account.id)).toEqual([{ id, ...swath }]);
    await removeSwath(THIS_MACHINE, account.id, id);
    await expect(removeSwath(THIS_MACHINE, account.id, id)).rejects.toThrow(`no swath ${id} any more`);
  });

  test('a note bears the account’s day', async () => {
    const { id } = await addNote(THIS_MACHINE, account.id, 'target 7', 'For its rank');
    expect(await loadNotes(account.id, 'target 7')).toEqual({
      notes: [{ id, text: 'For its rank', day: '2026-11-23' }],
    });
    await removeNote(THIS_MACHINE, account.id, id);
    expect((await loadNotes(account.id, 'target 7')).notes).toEqual([]);
  });
});

test('a table leaves as a file that no spreadsheet runs as a formula', async () => {
  const file = tableFile(
    {
      name: 'Terms / all',
      headings: ['Term', 'Spend'],
      rows: [
        ['=1+1', 2.5],
        ['a,"b"', null],
      ],
    },
    'csv',
  );
  const parts: Uint8Array[] = [];
  for await (const part of file.body) parts.push(part);
  expect(Buffer.concat(parts).toString()).toBe(`Term,Spend\n'=1+1,2.5\n"a,""b""",\n`);
  expect(file.name).toBe('Terms  all.csv');
});
