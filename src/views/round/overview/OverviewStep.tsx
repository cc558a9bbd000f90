import type { AccountInfo } from '../../../contract/api';
import { formatDay, formatShare } from '../../../core/units';
import type { OverviewAnswer } from '../../../contract/field';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageLink } from '../../shared/frame/pages';
import { Figures } from './Figures';
import { overviewFigures } from './figures';
import type { Figure } from './figures';
import { OverviewTrend } from './OverviewTrend';
import { Pace } from './Pace';
import { AutoAgainstManual, Movers, Standings } from './Parts';
import { Trouble } from '../../shared/Trouble';
import type { RoundAt } from '../steps/step';
import { useOverview } from './useOverview';

/** The first step of a round: how the whole account does, what changed, and where. */
export function OverviewStep({ account, state: { from, to } }: RoundAt) {
  const { whole, parts, error } = useOverview(account?.id, dataVersion(account), from, to);
  if (error)
    return (
      <main style={{ padding: 24 }}>
        <Trouble error={error} />
      </main>
    );
  if (!account || !whole || !parts)
    return (
      <main style={{ padding: 24 }}>
        <p role="status" className="faint">
          Adding up the account …
        </p>
      </main>
    );
  if (whole.days.length === 0)
    return (
      <main style={{ padding: 24 }}>
        <p className="faint">
          This account has no figures yet. Fetch from the market or import a report under{' '}
          <a href={pageLink('setup', account.id)}>Setup</a>.
        </p>
      </main>
    );
  const figures = overviewFigures(whole);
  const fieldLink = (query: string) => {
    const window = from && to ? `&from=${from}&to=${to}` : '';
    return `${pageLink('field', account.id)}&${query}${window}`;
  };
  const common = { parts, currency: account.currency, fieldLink };
  return (
    <main style={{ overflow: 'auto', padding: '12px 20px 20px' }} tabIndex={0} aria-label="Overview">
      <p className="serif" style={{ margin: '0 0 10px', fontSize: 17 }}>
        {sentence(figures, whole, parts.targetAcos ?? account.targetAcos)}
      </p>
      <Figures figures={figures} currency={account.currency} />
      <DataNotes account={account} overview={whole} />
      <div style={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1.7fr) minmax(0, 1fr)', gap: 32 }}>
        <div>
          <OverviewTrend account={account.id} overview={whole} />
          <div style={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', gap: 24 }}>
            <Movers {...common} of="spend" />
            <Movers {...common} of="sales" />
          </div>
        </div>
        <div>
          <Pace account={account} overview={whole} />
          <Standings {...common} />
          <AutoAgainstManual parts={parts} currency={account.currency} />
        </div>
      </div>
    </main>
  );
}

function sentence(figures: Figure[], { window, before }: OverviewAnswer, target: number): string {
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
  return `${formatDay(window.from)} – ${formatDay(window.to)}: ${stands}${whole}${moved}.`;
}

/** Days that are missing or not settled, and costs that are not known. */
function DataNotes({ account, overview }: { account: AccountInfo; overview: OverviewAnswer }) {
  const { window, missing, profit } = overview;
  const notes = [
    window.unsettled.length > 0 &&
      `${window.unsettled.length} unsettled days (${formatDay(window.unsettled[0])} – ${formatDay(window.unsettled.at(-1)!)}) are left out: their orders are still coming in.`,
    profit.unknownSales > 0 &&
      `Profit leaves out ${Math.round(profit.unknownSales / 1e6).toLocaleString('en-GB')} ${account.currency} of ad sales of products whose costs are not known.`,
  ].filter(Boolean);
  return (
    <div style={{ margin: '6px 0 2px', fontSize: 12.5 }}>
      {missing.map(({ report, days }) => (
        <p key={report} className="over" style={{ margin: 0 }}>
          ▲ {report}: {days.length} {days.length === 1 ? 'day is' : 'days are'} missing (
          {days.slice(0, 3).map(formatDay).join(', ')}
          {days.length > 3 && ' …'}). <a href={pageLink('setup', account.id)}>Fetch them under Setup</a>.
        </p>
      ))}
      <span className="faint">{notes.join(' ')}</span>
    </div>
  );
}
