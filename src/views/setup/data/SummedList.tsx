import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo, SummedInfo } from '../../../contract/api';
import { REPORT_LABELS } from '../../../contract/reportFields';
import { formatCount, formatFullDay } from '../../../core/units';
import { api } from '../../shared/api';
import { takeOverData } from '../../shared/revision';
import { Ask, Facts, Fault } from '../../shared/kit';
import { useTell } from '../../shared/useTell';

/** Figures that came summed over several days: each can be removed, so that its days can come one by one. */
export function SummedList({ account }: { account: AccountInfo }) {
  const client = useQueryClient();
  const tell = useTell();
  const [asked, setAsked] = useState<SummedInfo | null>(null);
  const sums = useQuery({ queryKey: ['summed', account.id], queryFn: () => api.summed(account.id) });
  if (!sums.data?.length) return <Fault error={sums.error} />;
  const remove = async ({ kind, from }: SummedInfo) => {
    setAsked(null);
    try {
      const { removed } = await api.removeSum(account.id, kind, from);
      tell(`Removed ${formatCount(removed)} summed rows.`);
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
    await takeOverData(client, account.id);
  };
  return (
    <section aria-label="Summed over a period" className="spaced">
      <h2 className="pageTitle">Summed over a period</h2>
      <p className="faint">
        Windows hold these days whole, and nothing is drawn day by day. Bids go by them once their middle day
        is settled.
      </p>
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 150 }}>Report</TableCell>
            <TableCell sx={{ width: 130 }}>From</TableCell>
            <TableCell sx={{ width: 130 }}>To</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {sums.data.map((sum) => (
            <TableRow key={`${sum.kind} ${sum.from}`}>
              <TableCell>{REPORT_LABELS[sum.kind]}</TableCell>
              <TableCell>{formatFullDay(sum.from)}</TableCell>
              <TableCell>{formatFullDay(sum.to)}</TableCell>
              <TableCell>
                <Button data-may="set-up" variant="quiet" onClick={() => setAsked(sum)}>
                  Remove
                </Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {asked && (
        <Ask
          title={`Remove ${REPORT_LABELS[asked.kind].toLowerCase()} of ${formatFullDay(asked.from)} to ${formatFullDay(asked.to)}?`}
          does="Remove"
          onDone={(isWanted) => (isWanted ? void remove(asked) : setAsked(null))}
        >
          Their figures leave every page. Import the file again to have them back.
        </Ask>
      )}
    </section>
  );
}
