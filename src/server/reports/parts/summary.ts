import { lastDayOfMonth, monthPace } from '../../../core/pace';
import { MEASURES } from '../../../core/measures';
import type { BusinessSums } from '../../../core/measures';
import { BUSINESS_MEASURES } from '../../../core/measures';
import { addDays, daysIn, formatFullDay, formatMoney, formatShare } from '../../../core/units';
import type { CellUnit, ReportBlock, ReportCell } from '../../../contract/report';
import { loadOverview } from '../../field/loadOverview';
import { columns, groupsOf, text } from '../reportAt';
import type { MakePart } from '../reportAt';

const SHOWN = ['impressions', 'clicks', 'spend', 'orders', 'sales', 'acos', 'cpc', 'conversion'];
const UNITS: Record<string, CellUnit> = { money: 'money', share: 'share', count: 'count' };

/** The account over the period against the one before, the month's goal, and the days as lines. */
export const summary: MakePart = async (at) => {
  const { account, window, before } = at;
  const [all, overview] = await Promise.all([
    groupsOf(at, 'account'),
    loadOverview(account.id, { ...window, versus: `${before.from}..${before.to}` }),
  ]);
  const { now, before: earlier } = all[0] ?? { now: null, before: null };
  if (!now || !earlier) return [text('Nothing is known of these days: no report covers them.')];
  const totals = (from: string, to: string) => {
    const days = overview.days.filter(({ day }) => day >= from && day <= to);
    return days.length < daysIn(from, to) || days.some(({ totalSales }) => totalSales === null)
      ? null
      : days.reduce((sum, { totalSales }) => sum + totalSales!, 0);
  };
  const wide = (sums: typeof now, from: string, to: string): BusinessSums => ({
    ...sums,
    totalSales: totals(from, to),
    margin: null,
  });
  const [wideNow, wideBefore] = [wide(now, window.from, window.to), wide(earlier, before.from, before.to)];
  const row = (label: string, unit: CellUnit, value: number | null, was: number | null): ReportCell[] => [
    label,
    ...(unit === 'share'
      ? [share(value), share(was), pointsText(value, was)]
      : [amount(unit, value), amount(unit, was), moveText(value, was)]),
  ];
  const rows = [
    ...MEASURES.filter(({ key }) => SHOWN.includes(key)).map(({ label, unit, of }) =>
      row(label, UNITS[unit] ?? 'count', of(now), of(earlier)),
    ),
    ...BUSINESS_MEASURES.filter(({ key }) => key !== 'profit').map(({ label, unit, of }) =>
      row(label, UNITS[unit] ?? 'count', of(wideNow), of(wideBefore)),
    ),
    row('Profit after ads', 'money', overview.profit.now, overview.profit.before),
  ];
  const span = overview.days.filter(({ day }) => day >= window.from && day <= window.to);
  const blocks: ReportBlock[] = [
    text(
      `Ads spent ${formatMoney(now.spend)} ${account.currency} and sold ${formatMoney(now.sales)}: an ACOS of ${now.sales > 0 ? formatShare(now.spend / now.sales) : 'no value, for nothing sold'}, against a target of ${formatShare(account.targetAcos)}.`,
    ),
    {
      kind: 'table',
      name: 'The account',
      columns: columns(['Measure'], ['This period', 'count'], ['Before', 'count'], ['Change', 'count']),
      rows,
    },
    {
      kind: 'lines',
      name: 'Spend and ad sales by day',
      from: window.from,
      series: [
        { label: 'Ad sales', unit: 'money', values: byDay(span, window.from, window.to, 'sales') },
        { label: 'Spend', unit: 'money', values: byDay(span, window.from, window.to, 'spend') },
      ],
    },
  ];
  if (overview.profit.unknownSales > 0)
    blocks.push(
      text(
        `Profit leaves out products whose costs are not known; they had ${formatMoney(overview.profit.unknownSales)} ${account.currency} of ad sales.`,
      ),
    );
  if (!before.isCovered)
    blocks.push(
      text('The period before is not covered by reports as a whole: what is told of it is less than it was.'),
    );
  const late = overview.window.unsettled;
  if (late.length > 0)
    blocks.push(
      text(
        `${late.length === 1 ? 'One unsettled day follows this period and is' : `${late.length} unsettled days follow this period and are`} left out.`,
      ),
    );
  return [...blocks, ...monthBlocks(overview, account.currency)];
};

const share = (value: number | null) => (value === null ? null : formatShare(value));
const amount = (unit: CellUnit, value: number | null): ReportCell =>
  value === null ? null : unit === 'money' ? formatMoney(value) : value;
const moveText = (now: number | null, before: number | null) =>
  now === null || before === null || before <= 0
    ? null
    : signed(now / before - 1, (size) => formatShare(size));
const pointsText = (now: number | null, before: number | null) =>
  now === null || before === null
    ? null
    : signed(now - before, (size) => `${(size * 100).toFixed(1)} points`);
const signed = (value: number, show: (size: number) => string) => {
  const size = show(Math.abs(value));
  return /[1-9]/.test(size) ? `${value > 0 ? '+' : '−'}${size}` : size;
};

function byDay(
  days: readonly { day: string; spend: number; sales: number }[],
  from: string,
  to: string,
  key: 'spend' | 'sales',
): (number | null)[] {
  const known = new Map(days.map((one) => [one.day, one[key]]));
  return Array.from({ length: daysIn(from, to) }, (_, at) => known.get(addDays(from, at)) ?? null);
}

/** The month so far against its goal, where one is set. */
function monthBlocks(
  { month: { goal, lastDay }, days }: Awaited<ReturnType<typeof loadOverview>>,
  currency: string,
): ReportBlock[] {
  if (!goal) return [];
  return (['sales', 'spend'] as const).flatMap((key) => {
    const wanted = goal[key];
    if (wanted === null) return [];
    const { done, forecast } = monthPace(new Map(days.map((one) => [one.day, one[key]])), lastDay, wanted);
    return text(
      `Month to ${formatFullDay(lastDay)}: ${key === 'sales' ? 'ad sales' : 'spend'} ${formatMoney(done)} of ${formatMoney(wanted)} ${currency}${forecast === null ? '' : `; at this rate ${formatMoney(forecast)} by ${formatFullDay(lastDayOfMonth(lastDay))}`}.`,
    );
  });
}
