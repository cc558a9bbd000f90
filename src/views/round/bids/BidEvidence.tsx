import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { proposalAt } from '../../../core/bids';
import type { PlanColumns } from '../../../core/bids';
import { addDays } from '../../../core/units';
import { api } from '../../shared/api';
import { Conversion } from '../../shared/evidence/Conversion';
import { DayByDay } from '../../shared/evidence/DayByDay';
import { History } from '../../shared/evidence/History';
import { Notes } from '../../shared/evidence/Notes';
import { SameElsewhere } from '../../shared/evidence/SameElsewhere';
import type { LoadedLens } from '../../../plans/field';
import { idsOf, subjectOf } from '../../shared/rowRequest';
import { EvidenceName } from '../../shared/evidence/EvidenceName';
import { RunsNow } from '../../shared/hours/RunsNow';
import { StepEvidence } from '../frame/StepEvidence';
import { BidSlider } from './BidSlider';
import { LaterForm } from './LaterForm';
import { reasonOf } from '../../../plans/bids';
import type { BidWork } from './useBidWork';
import { Worth } from './Worth';

interface BidEvidenceProps {
  account: AccountInfo | undefined;
  work: BidWork;
  onLoss: (targetIds: number[]) => void;
}

/** Why the focused target is proposed, what another bid would do, and everything known about it. */
export function BidEvidence({ account, work, onLoss }: BidEvidenceProps) {
  const { loaded, plan, view } = work;
  const row = view.rows.focusedRow;
  return (
    <StepEvidence>
      {account && loaded && plan && row !== null ? (
        <Evidence account={account} work={work} loaded={loaded} plan={plan} row={row} onLoss={onLoss} />
      ) : null}
    </StepEvidence>
  );
}

const DAYS_ASKED = 120;

interface EvidenceProps {
  account: AccountInfo;
  work: BidWork;
  loaded: LoadedLens;
  plan: PlanColumns;
  row: number;
  onLoss: (targetIds: number[]) => void;
}

function Evidence({ account, work, loaded, plan, row, onLoss }: EvidenceProps) {
  const { table, window } = loaded;
  const { decisions } = work;
  const last = window.unsettled.at(-1) ?? window.to;
  const from = addDays(last, 1 - DAYS_ASKED);
  const subject = subjectOf(table, row);
  const targetId = table.targetId[row];
  const days = useQuery({
    queryKey: ['row-days', account.id, subject, from, last],
    queryFn: () => api.rowDays({ account: account.id, ...idsOf(table, [row]), from, to: last }),
    staleTime: 60_000,
  });
  const proposal = proposalAt(plan, row);
  const { conversion, clicks, orders, exposure, needed } = proposal;
  return (
    <>
      <EvidenceName
        name={table.name[row]}
        place={[table.kind[row], table.place[row]].filter(Boolean).join(' · ')}
      />
      <RunsNow account={account} campaignId={table.campaignId[row]} />
      <p className="line">{reasonOf(plan, table, row)}</p>
      {proposal.from > 0 && (
        <BidSlider
          key={targetId}
          account={account}
          plan={plan}
          table={table}
          row={row}
          settings={work.settings}
          decisions={decisions}
        />
      )}
      <div className="bar">
        <LaterForm
          today={account.today}
          onLater={(until) => void decisions.put([targetId], 'later', { until })}
        />
        <Button
          data-may="decide"
          onClick={() => onLoss([targetId])}
          title="Accept the loss, with a reason (o)"
          sx={{ padding: '0 6px' }}
        >
          Accept the loss …
        </Button>
      </div>
      <Worth proposal={proposal} table={table} row={row} currency={account.currency} />
      {clicks > 0 && (
        <Conversion
          usual={conversion.usual}
          clicks={clicks}
          orders={orders}
          needed={needed > 0 && needed < 1 ? needed : null}
          strength={plan.strength}
          exposure={exposure}
        />
      )}
      <DayByDay
        account={account}
        last={last}
        settledTo={window.to}
        targetAcos={orNull(table.targetAcos[row])}
        margin={orNull(table.margin[row])}
        asked={days}
        marks={(stripFrom, stripTo, width) => (
          <History
            account={account.id}
            table={table}
            row={row}
            from={from}
            stripFrom={stripFrom}
            stripTo={stripTo}
            width={width}
          />
        )}
      />
      <SameElsewhere engine={work.engine} loaded={loaded} row={row} onRow={work.view.rows.focusRow} />
      <Notes account={account.id} subject={subject} />
    </>
  );
}

const orNull = (value: number) => (Number.isNaN(value) ? null : value);
