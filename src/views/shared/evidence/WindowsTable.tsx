import { addSums, measure, NO_SUMS } from '../../../core/measures';
import type { Sums } from '../../../core/measures';
import { addDays, formatCount, formatMoney, formatShare } from '../../../core/units';

const LENGTHS = [7, 14, 30, 60, 90];

interface WindowsTableProps {
  days: (Sums & { day: string })[];
  /** Last settled day: all windows end with it. */
  to: string;
  currency: string;
  firstDay: string | null;
}

/** Windows side by side, all ending with the last settled day. A window longer than the data is told. */
export function WindowsTable({ days, to, currency, firstDay }: WindowsTableProps) {
  const windows = LENGTHS.map((length) => {
    const from = addDays(to, 1 - length);
    const sums = days
      .filter(({ day }) => day >= from && day <= to)
      .reduce<Sums>((sum, one) => addSums(sum, one), NO_SUMS);
    return { length, sums, isCut: firstDay !== null && from < firstDay };
  });
  const lines: [string, (sums: Sums) => string][] = [
    ['Clicks', (sums) => formatCount(sums.clicks)],
    ['Orders', (sums) => formatCount(sums.orders)],
    [`Spend ${currency}`, (sums) => formatMoney(sums.spend)],
    [`Sales ${currency}`, (sums) => formatMoney(sums.sales)],
    [`CPC ${currency}`, (sums) => formatMoney(measure('cpc').of(sums))],
    ['Conversion', (sums) => formatShare(measure('cvr').of(sums))],
    ['ACOS', (sums) => formatShare(measure('acos').of(sums))],
  ];
  return (
    <table className="plain" style={{ marginTop: 6, fontSize: 12.5 }}>
      <thead>
        <tr>
          <th>Days</th>
          {windows.map(({ length, isCut }) => (
            <th key={length} className="figure" title={isCut ? 'The data begin later' : undefined}>
              {length}
              {isCut ? '*' : ''}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map(([label, show]) => (
          <tr key={label}>
            <td className="faint" style={{ whiteSpace: 'nowrap' }}>
              {label}
            </td>
            {windows.map(({ length, sums }) => (
              <td key={length} className="figure" style={{ paddingRight: 4 }}>
                {show(sums)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
