import { writeSheets, XLSX_TYPE } from '../../connect/spreadsheet';
import type { CellUnit, ReportCell, ReportContent } from '../../contract/report';
import { addDays, MICROS_PER_UNIT } from '../../core/units';

/** A report as a workbook: a sheet with its texts, and one for each table and drawing, numbers as numbers. */
export function reportFile(title: string, { account, parts }: ReportContent) {
  const sheets = [
    {
      title: 'Report',
      headings: [title],
      rows: parts.flatMap(({ title: part, note, blocks }) => [
        [part],
        ...(note === '' ? [] : [[note]]),
        ...blocks.flatMap((block) => (block.kind === 'text' ? [[block.text]] : [])),
      ]),
    },
    ...parts.flatMap(({ blocks }) =>
      blocks.flatMap((block) => {
        if (block.kind === 'table')
          return [
            {
              title: block.name,
              headings: block.columns.map(({ label, unit }) => headingOf(label, unit, account.currency)),
              rows: [...block.rows, ...(block.total ? [block.total] : [])].map((row) =>
                row.map((cell, at) => plain(block.columns[at].unit, cell)),
              ),
            },
          ];
        if (block.kind === 'lines')
          return [
            {
              title: block.name,
              headings: [
                'Day',
                ...block.series.map(({ label, unit }) => headingOf(label, unit, account.currency)),
              ],
              rows: (block.series[0]?.values ?? []).map((_, day) => [
                addDays(block.from, day),
                ...block.series.map(({ unit, values }) => plain(unit, values[day])),
              ]),
            },
          ];
        return [];
      }),
    ),
  ];
  return { name: `${fileName(title)}.xlsx`, type: XLSX_TYPE, body: writeSheets(sheets) };
}

/** What a file may be called. */
export const fileName = (title: string): string =>
  title
    .replace(/[^\w –-]+/g, '')
    .replace(/–/g, '-')
    .trim();

const headingOf = (label: string, unit: CellUnit, currency: string) =>
  unit === 'money' ? `${label} ${currency}` : label;

function plain(unit: CellUnit, cell: ReportCell): string | number {
  if (cell === null) return '';
  if (typeof cell === 'string') return cell;
  if (unit === 'rank' && cell === 0) return 'beyond the last page';
  return unit === 'money' ? Number((cell / MICROS_PER_UNIT).toFixed(6)) : cell;
}
