import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { HoursAnswer } from '../../../contract/hours';
import { DAY_NAMES } from '../../../core/schedules';
import { DASH, formatMoney, formatShare } from '../../../core/units';
import { Facts } from '../../shared/kit';

const HOURS = 24;

/** What makes a weekday weak: its conversion, what its orders are worth, what its clicks cost; and what is sold on it in all. */
export function Weekdays({ answer, currency }: { answer: HoursAnswer; currency: string }) {
  const { times, clicks, spend, orders, sales, totals } = answer;
  const over = (a: number, b: number) => (b > 0 ? a / b : null);
  const lines = DAY_NAMES.map((name, day) => {
    const sum = (list: readonly number[]) =>
      list.slice(day * HOURS, (day + 1) * HOURS).reduce((all, one) => all + one, 0);
    const days = sum(times) / HOURS;
    const [c, s, o, r] = [sum(clicks), sum(spend), sum(orders), sum(sales)];
    const total = totals?.sales[day] ?? null;
    const profit = totals?.profit?.[day] ?? null;
    return [
      name,
      formatMoney(over(s, days)),
      formatMoney(over(r, days)),
      formatShare(over(s, r)),
      formatShare(over(o, c)),
      formatMoney(over(r, o)),
      formatMoney(over(s, c)),
      total === null ? DASH : formatMoney(over(total, days)),
      total === null || profit === null ? DASH : formatShare(over(profit, total)),
    ];
  });
  return (
    <>
      <h2 className="serif part">
        Weekdays apart <span className="faint small">What makes a day weak, or strong</span>
      </h2>
      <Facts aria-label="Weekdays apart">
        <TableHead>
          <TableRow>
            {HEADINGS.map(([label, definition, isMoney]) => (
              <TableCell key={label} className={label === '' ? '' : 'figure'} title={definition}>
                {label} {isMoney && <span className="faint">{currency}</span>}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {lines.map(([name, ...figures]) => (
            <TableRow key={name}>
              <TableCell>{name}</TableCell>
              {figures.map((figure, at) => (
                <TableCell key={at} className="figure">
                  {figure}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {totals === null && (
        <p className="note">
          All sales by weekday are told of the account, a line or a product, once reports of total sales hold
          all of these days.
        </p>
      )}
      {totals !== null && totals.profit === null && (
        <p className="note">The profit margin is told once the costs of every product that sold are known.</p>
      )}
    </>
  );
}

const HEADINGS: readonly [label: string, definition: string, isMoney: boolean][] = [
  ['', 'Weekday', false],
  ['Spend', 'On such a day, on average', true],
  ['Ad sales', 'On such a day, on average', true],
  ['ACOS', 'Spend over ad sales, as they came', false],
  ['Conversion', 'Orders over clicks, as they came', false],
  ['Order', 'Ad sales of an order', true],
  ['CPC', 'What a click costs', true],
  ['All sales', 'With ads or without, on such a day, on average', true],
  ['Margin', 'Profit after ads over all sales', false],
];
