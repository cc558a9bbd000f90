import type { Paper } from '../contract/report';

/** Styles of a report: made for paper, and read on a screen as a sheet. @param running heading and foot of every page, as CSS strings */
export const stylesFor = (paper: Paper, running: { left: string; right: string; foot: string }): string => `
@page {
  size: ${paper};
  margin: 20mm 16mm 18mm;
  @top-left { content: ${running.left}; font: 8.5pt sans-serif; color: #555; }
  @top-right { content: ${running.right}; font: 8.5pt sans-serif; color: #555; }
  @bottom-left { content: ${running.foot}; font: 8.5pt sans-serif; color: #555; }
  @bottom-right { content: "Page " counter(page) " of " counter(pages); font: 8.5pt sans-serif; color: #555; }
}
* { box-sizing: border-box; }
html { background: #e9e7e0; color: #17211a; font: 10pt/1.45 "Source Sans 3", "Segoe UI", "Liberation Sans", sans-serif; }
body { margin: 0 auto; padding: 20mm 16mm; max-width: ${paper === 'A4' ? '210mm' : '216mm'}; background: #fff; }
h1, h2 { font-family: Fraunces, Georgia, "Liberation Serif", serif; font-weight: 600; line-height: 1.2; margin: 0; }
h1 { font-size: 21pt; }
h2 { font-size: 14pt; margin-top: 9mm; padding-bottom: 1mm; border-bottom: 1px solid #17211a; break-after: avoid; }
h2 + p { break-after: avoid; }
h1 + p { margin-top: 1mm; color: #444; }
p { margin: 2mm 0; max-width: 160mm; orphans: 3; widows: 3; }
.note { border-left: 2.5pt solid #17211a; padding-left: 3mm; white-space: pre-line; }
.means { color: #555; }
figure { margin: 3mm 0; break-inside: avoid; }
figcaption, caption { text-align: left; font-weight: 600; padding: 2mm 0 1mm; break-after: avoid; }
figure svg { width: 100%; height: auto; font: 9px sans-serif; fill: #444; }
.line { fill: none; stroke: #17211a; stroke-width: 1.3; }
.rule { stroke: #ddd; stroke-width: 0.7; }
.legend { display: flex; gap: 6mm; margin: 0; font-size: 9pt; }
.legend svg { width: 26px; height: 8px; }
table { border-collapse: collapse; width: 100%; margin: 2mm 0; font-size: 9pt; }
thead { display: table-header-group; }
tr { break-inside: avoid; }
th { text-align: left; vertical-align: bottom; font-weight: 600; border-bottom: 0.8pt solid #17211a; }
th, td { padding: 0.9mm 2.2mm 0.9mm 0; }
td { border-bottom: 0.4pt solid #ccc; vertical-align: top; overflow-wrap: anywhere; }
th:last-child, td:last-child { padding-right: 0; }
.figure { text-align: right; font-variant-numeric: tabular-nums; white-space: nowrap; }
th.figure { white-space: normal; }
tbody.total td { border-top: 0.8pt solid #17211a; border-bottom: 0; font-weight: 600; }
@media print { html { background: #fff; } body { margin: 0; padding: 0; max-width: none; } }
`;
