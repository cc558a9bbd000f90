import type { ReportBlock, ReportCell, ReportContent } from '../contract/report';
import { formatFullDay } from '../core/units';
import { cellText, escaped } from './cells';
import { explainer } from './houseWords';
import { linesSvg } from './lines';
import { stylesFor } from './styles';

/** A report as one page that needs nothing else: for paper, for a screen, for somebody who has no account. */
export function reportPage(title: string, content: ReportContent): string {
  const { account, from, to, before, madeOn, paper, parts } = content;
  const explain = explainer();
  const sentence = (text: string) =>
    explain(text)
      .map(
        ({ before: words, meaning }) =>
          escaped(words) + (meaning === '' ? '' : ` <span class="means">(${escaped(meaning)})</span>`),
      )
      .join('');
  const days = `${formatFullDay(from)} – ${formatFullDay(to)}`;
  const styles = stylesFor(paper, {
    left: cssText(account.name),
    right: cssText(days),
    foot: cssText(`Made on ${formatFullDay(madeOn)}`),
  });
  const body = parts
    .map(
      (part) =>
        `<section><h2>${escaped(part.title)}</h2>` +
        (part.note === '' ? '' : `<p class="note">${escaped(part.note)}</p>`) +
        part.blocks.map((block) => blockHtml(block, account.currency, sentence)).join('') +
        '</section>',
    )
    .join('\n');
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>${escaped(title)}</title>
<style>${styles}</style>
</head>
<body>
<h1>${escaped(account.name)}</h1>
<p>${escaped(days)}, against ${escaped(`${formatFullDay(before.from)} – ${formatFullDay(before.to)}`)}. Money in ${escaped(account.currency)}. Made on ${escaped(formatFullDay(madeOn))}.</p>
${body}
</body>
</html>
`;
}

/** A text between quotes of a style sheet, inside a page. */
const cssText = (text: string): string =>
  `"${text.replace(/[^\p{L}\p{N} .,–&'()+-]/gu, ' ').replace(/&/g, 'and')}"`;

function blockHtml(block: ReportBlock, currency: string, sentence: (text: string) => string): string {
  switch (block.kind) {
    case 'text':
      return `<p>${sentence(block.text)}</p>`;
    case 'lines':
      return linesSvg(block);
    case 'table':
      return tableHtml(block, currency);
  }
}

function tableHtml(
  { name, columns, rows, total }: Extract<ReportBlock, { kind: 'table' }>,
  currency: string,
): string {
  const classOf = (at: number) => (columns[at].unit === 'text' ? '' : ' class="figure"');
  const line = (cells: readonly ReportCell[]) =>
    `<tr>${cells.map((cell, at) => `<td${classOf(at)}>${escaped(cellText(columns[at].unit, cell))}</td>`).join('')}</tr>`;
  const heading = ({ label, unit }: (typeof columns)[number]) =>
    escaped(unit === 'money' ? `${label} ${currency}` : unit === 'points' ? `${label} (points)` : label);
  return (
    `<table><caption>${escaped(name)}</caption><thead><tr>${columns.map((column, at) => `<th${classOf(at)}>${heading(column)}</th>`).join('')}</tr></thead>` +
    `<tbody>${rows.map(line).join('')}</tbody>` +
    (total ? `<tbody class="total">${line(total)}</tbody>` : '') +
    '</table>'
  );
}
