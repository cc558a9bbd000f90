import { describe, expect, test } from 'vitest';
import { aChangeInfo } from '../../../tests/make/changes';
import type { ChangeInfo } from '../../contract/changes';
import { readBack, USUAL_AD_GROUP, USUAL_CAMPAIGN, USUAL_LIMITS } from '../../core/changes';
import { readByHeading } from '../../connect/reports';
import { neutralCell } from '../../connect/spreadsheet';
import { changesCsv, changesJson } from './changeFile';

const rows = (changes: ChangeInfo[]) => readByHeading([new TextEncoder().encode(changesCsv(changes))]);

describe('the change file', () => {
  test('as CSV reads back to what it was, commas and quotes included', async () => {
    expect(await rows([aChangeInfo()])).toEqual([
      {
        change: '7',
        state: 'staged',
        what: 'Bid on “jar, glass” (exact)',
        campaign: 'Weights – exact',
        'ad group': 'exact',
        kind: 'add-keyword',
        match: 'exact',
        text: 'jar, glass',
        bid: '0.52',
        from: '',
        to: '',
        'after change': '',
        reason: 'Said "often" sold',
        answer: '',
      },
    ]);
  });

  test('tells who waits for whom, and what the market answered', async () => {
    const block = aChangeInfo({
      id: 8,
      afterId: 7,
      state: 'refused',
      answer: 'No.',
      change: { kind: 'add-negative', campaignId: 1, adGroupId: null, match: 'phrase', expression: 'used' },
      adGroup: null,
    });
    expect((await rows([block]))[0]).toMatchObject({
      'after change': '7',
      answer: 'No.',
      what: 'Block “used” (phrase, whole campaign)',
      bid: '',
    });
  });

  test('names what an undoing change ends', async () => {
    const undo = aChangeInfo({ change: { kind: 'archive-negative', negativeId: 5 }, subject: 'paperweight' });
    expect((await rows([undo]))[0]).toMatchObject({
      kind: 'archive-negative',
      text: 'paperweight',
      what: 'Lift the negative',
    });
  });

  test.each([
    ['tea;=1+1', "tea;'=1+1"],
    ['tea,"@sum', `tea,"'@sum`],
    ['tea, -20 %', 'tea, -20 %'],
  ])('keeps one that parts cells elsewhere from running "%s"', (text, written) => {
    expect(neutralCell(text)).toBe(written);
  });

  test.each(['=1+1', '+49', '-x', '@sum', '\tx'])('keeps a spreadsheet from running "%s"', async (text) => {
    expect(neutralCell(text)).toBe(`'${text}`);
    const harmful = aChangeInfo({
      change: { kind: 'add-keyword', adGroupId: 1, expression: text, match: 'exact', bid: 1 },
    });
    expect((await rows([harmful]))[0].text.startsWith("'")).toBe(true);
  });

  test('tells what a bid was and is to be', async () => {
    const lower = aChangeInfo({ change: { kind: 'set-bid', targetId: 3, from: 520_000, to: 400_000 } });
    expect((await rows([lower]))[0]).toMatchObject({
      from: '0.52',
      to: '0.40',
      what: 'Lower the bid 0.52 → 0.40',
    });
    expect(JSON.parse(changesJson([lower]))).toMatchObject({ changes: [{ from: '0.52', to: '0.40' }] });
  });

  test('as JSON writes money as a decimal', () => {
    const { changes } = JSON.parse(changesJson([aChangeInfo()])) as { changes: unknown[] };
    expect(changes).toEqual([
      expect.objectContaining({
        id: 7,
        kind: 'add-keyword',
        expression: 'jar, glass',
        match: 'exact',
        bid: '0.52',
        campaign: 'Weights – exact',
      }),
    ]);
  });

  test('without changes has its headings', () => {
    expect(changesCsv([])).toMatch(/^change,state,what,/);
  });
});

describe('what is to be made', () => {
  const made = [
    aChangeInfo({
      id: 11,
      change: {
        kind: 'add-campaign',
        ...USUAL_CAMPAIGN,
        campaignId: 5,
        name: 'Lids – phrase',
        budget: 12_500_000,
      },
    }),
    aChangeInfo({
      id: 12,
      change: {
        kind: 'add-ad-group',
        ...USUAL_AD_GROUP,
        adGroupId: 6,
        campaignId: 5,
        name: 'phrase',
        defaultBid: 450_000,
      },
    }),
    aChangeInfo({ id: 13, change: { kind: 'add-ad', adGroupId: 6, productId: 7 } }),
  ];

  test('stands with its budget or bid, and read back unedited changes nothing', async () => {
    expect((await rows(made)).map(({ what, bid }) => [what, bid])).toEqual([
      ['Make the campaign “Lids – phrase”, 12.50 a day', '12.50'],
      ['Make the ad group “phrase”, bid 0.45', '0.45'],
      ['Advertise the product there', ''],
    ]);
    const lines = (await rows(made)).map(({ change, bid, to }, at) => ({ line: at + 2, change, bid, to }));
    const read = (text: string) => Math.round(Number(text) * 1e6);
    expect(readBack(lines, made, USUAL_LIMITS, read)).toEqual({
      edits: [],
      missing: [],
      refused: [],
      same: 3,
    });
    lines[0].bid = '20';
    expect(readBack(lines, made, USUAL_LIMITS, read).edits).toMatchObject([{ id: 11, to: 20_000_000 }]);
  });

  test('has its money as decimals in JSON too', () => {
    const { changes } = JSON.parse(changesJson(made)) as { changes: object[] };
    expect(changes).toMatchObject([
      { budget: '12.50', bid: '12.50' },
      { defaultBid: '0.45', bid: '0.45' },
      {},
    ]);
  });
});
