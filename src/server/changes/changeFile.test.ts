import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { aChangeInfo } from '../../../tests/make/changes';
import type { ChangeInfo } from '../../contract/changes';
import { neutralCell } from '../../connect/spreadsheet';
import { changesCsv, changesJson } from './changeFile';

const rows = (changes: ChangeInfo[]) =>
  Papa.parse<Record<string, string>>(changesCsv(changes), { header: true, skipEmptyLines: true }).data;

describe('the change file', () => {
  test('as CSV reads back to what it was, commas and quotes included', () => {
    expect(rows([aChangeInfo()])).toEqual([
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

  test('tells who waits for whom, and what the market answered', () => {
    const block = aChangeInfo({
      id: 8,
      afterId: 7,
      state: 'refused',
      answer: 'No.',
      change: { kind: 'add-negative', campaignId: 1, adGroupId: null, match: 'phrase', expression: 'used' },
      adGroup: null,
    });
    expect(rows([block])[0]).toMatchObject({
      'after change': '7',
      answer: 'No.',
      what: 'Block “used” (phrase, whole campaign)',
      bid: '',
    });
  });

  test('names what an undoing change ends', () => {
    const undo = aChangeInfo({ change: { kind: 'archive-negative', negativeId: 5 }, subject: 'paperweight' });
    expect(rows([undo])[0]).toMatchObject({
      kind: 'archive-negative',
      text: 'paperweight',
      what: 'Lift the negative',
    });
  });

  test.each(['=1+1', '+49', '-x', '@sum', '\tx'])('keeps a spreadsheet from running "%s"', (text) => {
    expect(neutralCell(text)).toBe(`'${text}`);
    const harmful = aChangeInfo({
      change: { kind: 'add-keyword', adGroupId: 1, expression: text, match: 'exact', bid: 1 },
    });
    expect(rows([harmful])[0].text.startsWith("'")).toBe(true);
  });

  test('tells what a bid was and is to be', () => {
    const lower = aChangeInfo({ change: { kind: 'set-bid', targetId: 3, from: 520_000, to: 400_000 } });
    expect(rows([lower])[0]).toMatchObject({ from: '0.52', to: '0.40', what: 'Lower the bid 0.52 → 0.40' });
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
