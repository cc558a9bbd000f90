import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { REPORT_LABELS } from '../../../contract/reportFields';
import type { ReportCoverage, SyncInfo } from '../../../contract/api';
import { formatCount, formatDay } from '../../../core/units';
import { formatTime } from '../../shared/formatTime';
import { Facts } from '../../shared/kit';

/** What is here of each report from the market, and which days are missing. */
export function Coverage({ data }: { data: SyncInfo }) {
  return (
    <section aria-label="Reports from the market" className="spaced">
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 150 }}>Report</TableCell>
            <TableCell sx={{ width: 110 }}>From</TableCell>
            <TableCell sx={{ width: 110 }}>To</TableCell>
            <TableCell className="figure" sx={{ width: 70 }}>
              Days
            </TableCell>
            <TableCell sx={{ paddingLeft: '24px' }}>Missing</TableCell>
            <TableCell sx={{ width: 130 }}>Fetched</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {data.reports.map((report) => (
            <Report key={report.kind} report={report} />
          ))}
        </TableBody>
      </Facts>
    </section>
  );
}

function Report({ report }: { report: ReportCoverage }) {
  const { kind, firstDay, lastDay, days, missing, syncedAt } = report;
  const some = missing
    .slice(0, 3)
    .map((day) => formatDay(day))
    .join(', ');
  return (
    <TableRow>
      <TableCell>{REPORT_LABELS[kind]}</TableCell>
      <TableCell className="faint">{firstDay ? formatDay(firstDay) : '–'}</TableCell>
      <TableCell className="faint">{lastDay ? formatDay(lastDay) : '–'}</TableCell>
      <TableCell className="figure">{formatCount(days)}</TableCell>
      <TableCell sx={{ paddingLeft: '24px' }} className={missing.length > 0 ? 'over' : 'faint'}>
        {missing.length === 0
          ? 'none'
          : `▲ ${missing.length} ${missing.length === 1 ? 'day' : 'days'}: ${some}${missing.length > 3 ? ' …' : ''}`}
      </TableCell>
      <TableCell className="faint">{syncedAt ? formatTime(syncedAt) : 'never'}</TableCell>
    </TableRow>
  );
}
