import { describe, expect, test } from 'vitest';
import type { ReportContent } from '../contract/report';
import { cellText, reportPage } from '.';

const content: ReportContent = {
  account: { name: 'Tarn & Sons <b>', currency: 'EUR' },
  from: '2026-10-01',
  to: '2026-10-31',
  before: { from: '2026-09-01', to: '2026-09-30' },
  madeOn: '2026-11-05',
  paper: 'Letter',
  parts: [
    {
      key: 'summary',
      title: 'At a glance',
      note: 'Mind <script>alert(1)</script> this.',
      blocks: [
        { kind: 'text', text: 'ACOS and TACOS fell; the ACOS most. Two bales were sent.' },
        {
          kind: 'table',
          name: 'The account',
          columns: [
            { label: 'What', unit: 'text' },
            { label: 'Spend', unit: 'money' },
            { label: 'Moved', unit: 'points' },
            { label: 'Rank', unit: 'rank' },
          ],
          rows: [
            ['a', 1_234_560_000, 0.0123, 0],
            ['b', null, -0.00001, 7.25],
          ],
          total: ['All', 1_234_560_000, -0.02, null],
        },
        {
          kind: 'lines',
          name: 'Spend by day',
          from: '2026-10-01',
          series: [{ label: 'Spend', unit: 'money', values: [1e6, null, 3e6, 2e6] }],
        },
      ],
    },
    {
      key: 'done',
      title: 'What was done',
      note: '',
      blocks: [{ kind: 'text', text: 'A bale more, and the ACOS again.' }],
    },
  ],
};

describe('a report on paper', () => {
  const page = reportPage('October', content);

  test('needs nothing but itself, and runs nothing', () => {
    expect(page).not.toMatch(/<script|<link|src=|url\(|@import/);
    expect(page).toContain('Mind &lt;script&gt;alert(1)&lt;/script&gt; this.');
    expect(page).toContain('<h1>Tarn &amp; Sons &lt;b&gt;</h1>');
  });

  test('has its name, its days and the page’s number on every page of the paper that was chosen', () => {
    expect(page).toContain('size: Letter');
    expect(page).toContain('@top-left { content: "Tarn and Sons  b "');
    expect(page).toContain('@top-right { content: "1 Oct 2026 – 31 Oct 2026"');
    expect(page).toContain('"Page " counter(page) " of " counter(pages)');
  });

  test('explains the words of the house where they are first used, and there alone', () => {
    expect(page.match(/\(ad spend ÷ ad sales\)/g)).toHaveLength(1);
    expect(page.match(/\(ad spend ÷ all sales, with ads or without\)/g)).toHaveLength(1);
    expect(page).toContain('bales <span class="means">(changes that were sent together)</span> were sent');
    expect(page.match(/changes that were sent together/g)).toHaveLength(1);
  });

  test('prints figures in their units, what is not known as a dash, and never a rank of 0', () => {
    expect(page).toContain('<th class="figure">Spend EUR</th>');
    expect(page).toContain('<td class="figure">1,234.56</td><td class="figure">+1.2</td>');
    expect(page).toContain('<td class="figure">beyond the last page</td>');
    expect(page).toContain('<td class="figure">–</td><td class="figure">0.0</td><td class="figure">7.3</td>');
    expect(page).toContain('<tbody class="total"><tr><td>All</td>');
    expect(cellText('share', 0.2061)).toBe('20.6 %');
  });

  test('draws lines with a gap where a day is not known', () => {
    const path = /<path d="([^"]+)" class="line"/.exec(page)![1];
    expect(path.match(/M/g)).toHaveLength(2);
  });
});
