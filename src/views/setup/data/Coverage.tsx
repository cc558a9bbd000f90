import { REPORT_LABELS } from '../../../contract/reportFields';
import type { ReportCoverage, SyncInfo } from '../../../contract/api';
import { formatCount } from '../../../core/units';
import { formatTime } from '../../shared/formatTime';

/** What is here of each report from the market, and which days are missing. */
export function Coverage({ data }: { data: SyncInfo }) {
  return (
    <section aria-label="Reports from the market" style={{ marginTop: 16 }}>
      <table className="plain">
        <thead>
          <tr>
            <th style={{ width: 150 }}>Report</th>
            <th style={{ width: 110 }}>From</th>
            <th style={{ width: 110 }}>To</th>
            <th className="figure" style={{ width: 70 }}>
              Days
            </th>
            <th style={{ paddingLeft: 24 }}>Missing</th>
            <th style={{ width: 130 }}>Fetched</th>
          </tr>
        </thead>
        <tbody>
          {data.reports.map((report) => (
            <Report key={report.kind} report={report} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Report({ report }: { report: ReportCoverage }) {
  const { kind, firstDay, lastDay, days, missing, syncedAt } = report;
  const some = missing.slice(0, 3).join(', ');
  return (
    <tr>
      <td>{REPORT_LABELS[kind]}</td>
      <td className="faint">{firstDay ?? '–'}</td>
      <td className="faint">{lastDay ?? '–'}</td>
      <td className="figure">{formatCount(days)}</td>
      <td style={{ paddingLeft: 24 }} className={missing.length > 0 ? 'over' : 'faint'}>
        {missing.length === 0
          ? 'none'
          : `▲ ${missing.length} ${missing.length === 1 ? 'day' : 'days'}: ${some}${missing.length > 3 ? ' …' : ''}`}
      </td>
      <td className="faint">{syncedAt ? formatTime(syncedAt) : 'never'}</td>
    </tr>
  );
}
