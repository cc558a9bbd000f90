import { addSums, measure, NO_SUMS } from '../../../core/measures';
import type { Sums } from '../../../core/measures';
import { addDays, formatCount, formatMoney, formatNumber, formatShare } from '../../../core/units';
import { Facts } from '../kit';

const LENGTHS = [7, 14, 30, 60, 90];

interface WindowsTableProps {
  days: (Sums & { day: string })[];
  /** Last settled day: all windows end with it. */
  to: string;
  currency: string;
  firstDay: string | null;
  /** What is aimed at, and what is left of a sale before ads; shares, null where not known. */
  targetAcos: number | null;
  margin: number | null;
}

/** Windows side by side, all ending with the last settled day. A window longer than the data is told. */
export function WindowsTable({ days, to, currency, firstDay, targetAcos, margin }: WindowsTableProps) {
  const windows = LENGTHS.map((length) => {
    const from = addDays(to, 1 - length);
    const sums = days
      .filter(({ day }) => day >= from && day <= to)
      .reduce<Sums>((sum, one) => addSums(sum, one), NO_SUMS);
    return { length, sums, isCut: firstDay !== null && from < firstDay };
  });
  const lines: [string, (sums: Sums) => string][] = [
    ['Impressions', (sums) => shortCount(sums.impressions)],
    ['CTR', (sums) => formatShare(measure('ctr').of(sums), 2)],
    ['Clicks', (sums) => formatCount(sums.clicks)],
    ['Orders', (sums) => formatCount(sums.orders)],
    [`Spend ${currency}`, (sums) => shortMoney(sums.spend)],
    [`Sales ${currency}`, (sums) => shortMoney(sums.sales)],
    [`CPC ${currency}`, (sums) => formatMoney(measure('cpc').of(sums))],
    ['Conversion', (sums) => formatShare(measure('cvr').of(sums))],
    ['ACOS', (sums) => formatShare(measure('acos').of(sums))],
  ];
  // Against the target a loss stands above zero, as in the columns of the same name.
  if (targetAcos !== null)
    lines.push(['Loss vs target', ({ spend, sales }) => signedMoney(spend - targetAcos * sales)]);
  if (margin !== null)
    lines.push([`Profit ${currency}`, ({ spend, sales }) => signedMoney(margin * sales - spend)]);
  return (
    <Facts className="windows">
      <thead>
        <tr>
          <th scope="col">Days</th>
          {windows.map(({ length, isCut }) => (
            <th
              key={length}
              scope="col"
              className="figure"
              title={isCut ? 'The data begins later' : undefined}
            >
              {length}
              {isCut ? '*' : ''}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map(([label, show]) => (
          <tr key={label}>
            <td className="faint">{label}</td>
            {windows.map(({ length, sums }) => (
              <td key={length} className="figure">
                {show(sums)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Facts>
  );
}

/** Sums from a thousand on are read without their cents: five of them stand side by side. */
const shortMoney = (micros: number) =>
  Math.abs(micros) < 1_000_000_000 ? formatMoney(micros) : shortCount(Math.round(micros / 1_000_000));
const signedMoney = (micros: number) => `${micros < 0 ? '−' : ''}${shortMoney(Math.abs(micros))}`;
/** Large figures are read without their last digits: 99,999, 100k, 9,999k, 10.0M. */
const shortCount = (count: number) =>
  count < 100_000
    ? formatCount(count)
    : count < 9_999_500
      ? `${formatCount(Math.round(count / 1000))}k`
      : `${formatNumber(count / 1_000_000, 1)}M`;
