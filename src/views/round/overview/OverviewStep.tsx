import Box from '@mui/material/Box';
import { lazy, Suspense } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { daysIn, formatCount, formatDay, formatShare } from '../../../core/units';
import type { OverviewAnswer } from '../../../contract/field';
import { pageLink } from '../../shared/frame/pages';
import { Figures } from './Figures';
import { overviewFigures, sumDays } from './figures';
import type { Figure } from './figures';
import { MoneyNotes } from './MoneyNotes';
import { OverviewTrend } from './OverviewTrend';
import { Pace } from './Pace';
import { AutoAgainstManual, Movers, Standings } from './Parts';
import type { RoundAt } from '../steps/step';
import { useOverview } from './useOverview';
import { WhyAcos } from './WhyAcos';
import { Loading, PlaceLink, Trouble } from '../../shared/kit';
import { PlaceBar } from '../../shared/window/PlaceBar';

// An account has it once; the others do not wait for it with the first view.
const WayIn = lazy(async () => ({ default: (await import('./WayIn')).WayIn }));

/** The first step of a round: how the whole account does, what changed, and where. */
export function OverviewStep({ account, fault, window, state }: RoundAt) {
  const { from, to, asked } = state;
  const { whole, parts, error: unread } = useOverview(account, asked);
  // What is wrong with the search terms alone does not stop the overview.
  const error = unread ?? (account ? null : fault);
  if (error || !account || !whole || !parts)
    return <main>{error ? <Trouble error={error} /> : <Loading>Adding up the account …</Loading>}</main>;
  if (whole.days.length === 0)
    return (
      <Suspense fallback={<Loading>Opening …</Loading>}>
        <WayIn account={account} />
      </Suspense>
    );
  const figures = overviewFigures(whole);
  const fieldLink = (query: string) => {
    const window = from && to ? `&from=${from}&to=${to}` : '';
    const versus = asked.versus ? `&versus=${asked.versus}` : '';
    return `${pageLink('field', account.id)}&${query}${window}${versus}`;
  };
  const common = { parts, currency: account.currency, fieldLink };
  return (
    <main className="page" tabIndex={0} aria-label="Overview">
      <div className="overviewHead">
        <p className="sentence">{sentence(figures, whole, parts.targetAcos ?? account.targetAcos)}</p>
        <PlaceBar
          account={account}
          window={{
            ...window,
            shown: whole.window,
            versus: {
              shown: whole.before,
              isChosen: asked.versus !== undefined,
              onVersus: state.setVersus,
            },
          }}
        />
      </div>
      <Figures figures={figures} currency={account.currency} />
      <WhyAcos change={parts.acosChange} />
      <DataNotes account={account} overview={whole} />
      <MoneyNotes account={account} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1.7fr) minmax(0, 1fr)', gap: '32px' }}>
        <div>
          <OverviewTrend account={account} overview={whole} />
          <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', gap: '24px' }}>
            <Movers {...common} of="spend" />
            <Movers {...common} of="sales" />
          </Box>
        </div>
        <div>
          <Pace account={account} overview={whole} />
          <Standings {...common} />
          <AutoAgainstManual parts={parts} currency={account.currency} />
        </div>
      </Box>
    </main>
  );
}

function sentence(figures: Figure[], { before }: OverviewAnswer, target: number): string {
  const of = (key: string) => figures.find((one) => one.key === key)!;
  const [acos, sales, tacos] = [of('acos'), of('sales'), of('tacos')];
  if (sales.now === 0 && of('spend').now === 0) return 'No figures in this window yet.';
  const stands =
    acos.now === null
      ? 'nothing sold'
      : `${formatShare(acos.now)} ACOS, ${acos.now <= target ? 'under' : 'over'} the target of ${formatShare(target)}`;
  const moved =
    sales.before && sales.now !== null
      ? `; ad sales ${sales.now >= sales.before ? 'up' : 'down'} ${formatShare(Math.abs(sales.now / sales.before - 1))} on ${formatDay(before.from)} – ${formatDay(before.to)}`
      : '';
  const whole = tacos.now === null ? '' : `, TACOS ${formatShare(tacos.now)}`;
  const text = `${stands}${whole}${moved}.`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** What the window holds that came summed over several days. */
function sumsTold({ sums }: OverviewAnswer['window']): string {
  const spans = sums.map(({ from, to }) => `${formatDay(from)} – ${formatDay(to)}`).join(', ');
  return `Figures of ${spans} came summed: the window holds them whole, and there is no trend.`;
}

/** Days that are missing or not settled, and costs that are not known. */
function DataNotes({ account, overview }: { account: AccountInfo; overview: OverviewAnswer }) {
  const { window, before, missing, profit } = overview;
  const { totalSales, sales } = sumDays(overview.days, window.from, window.to);
  const isCreditedMore = totalSales !== null && totalSales < sales;
  const notes = [
    !before.isCovered &&
      (account.firstDay !== null && account.firstDay <= before.from
        ? `Nothing is compared: of the days before (${formatDay(before.from)} – ${formatDay(before.to)}) some came summed with others.`
        : `Nothing is compared: the data begin on ${formatDay(account.firstDay ?? window.from)}, after the ${daysIn(before.from, before.to)} days before (${formatDay(before.from)} – ${formatDay(before.to)}) do.`),
    window.sums.length > 0 && sumsTold(window),
    window.unsettled.length > 0 &&
      `${window.unsettled.length} unsettled days (${formatDay(window.unsettled[0])} – ${formatDay(window.unsettled.at(-1)!)}) are left out: their orders are still coming in.`,
    isCreditedMore &&
      'Ads are credited with more than was sold in all in this window, so organic sales cannot be told: orders arrive on other days than their clicks, or were of other products.',
    profit.unknownSales > 0 &&
      `Profit leaves out ${formatCount(Math.round(profit.unknownSales / 1e6))} ${account.currency} of ad sales of products whose costs are not known.`,
  ].filter(Boolean);
  return (
    <Box sx={{ margin: '6px 0 2px', fontSize: 12.5 }}>
      {missing.map(({ report, days }) => (
        <p className="line over" key={report}>
          ▲ {report}: {days.length} {days.length === 1 ? 'day is' : 'days are'} missing (
          {days
            .slice(0, 3)
            .map((day) => formatDay(day))
            .join(', ')}
          {days.length > 3 && ' …'}).{' '}
          <PlaceLink href={pageLink('setup', account.id)}>Fetch them under Setup</PlaceLink>.
        </p>
      ))}
      <span className="faint">{notes.join(' ')}</span>
    </Box>
  );
}
