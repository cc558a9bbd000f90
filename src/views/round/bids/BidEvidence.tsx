import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { memo } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { proposalAt } from '../../../core/bids';
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

interface BidEvidenceProps extends Pick<BidWork, 'engine' | 'loaded' | 'plan' | 'settings' | 'decisions'> {
  account: AccountInfo | undefined;
  row: number | null;
  /** Both the same at each drawing. */
  onRow: (row: number) => void;
  onLoss: (targetIds: number[]) => void;
}

/** Why the focused target is proposed, what another bid would do, and everything known about it. */
export const BidEvidence = memo(function BidEvidence(props: BidEvidenceProps) {
  const { account, loaded, plan, row } = props;
  return (
    <StepEvidence>
      {account && loaded && plan && row !== null ? (
        <Evidence {...props} account={account} loaded={loaded} plan={plan} row={row} />
      ) : null}
    </StepEvidence>
  );
});

const DAYS_ASKED = 120;

interface EvidenceProps extends BidEvidenceProps {
  account: AccountInfo;
  loaded: LoadedLens;
  plan: NonNullable<BidEvidenceProps['plan']>;
  row: number;
}

function Evidence(props: EvidenceProps) {
  const { account, engine, loaded, plan, settings, decisions, row, onRow, onLoss } = props;
  const { table, window } = loaded;
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
          settings={settings}
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
      <SameElsewhere engine={engine} loaded={loaded} row={row} onRow={onRow} />
      <Notes account={account.id} subject={subject} />
    </>
  );
}

const orNull = (value: number) => (Number.isNaN(value) ? null : value);
