import { useQuery } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { memo, useEffect, useState } from 'react';
import type { BlockAsks } from '../../../core/negatives';
import type { TermKind } from '../../../core/matching';
import { addDays, dayFromNumber, formatDay } from '../../../core/units';
import type { StepName } from '../../../contract/review';
import { api } from '../../shared/api';
import { Elsewhere } from './Elsewhere';
import { placeName } from './placeName';
import { ProposalForm } from './ProposalForm';
import { SourceAsks } from './SourceAsks';
import type { TermDecisions } from './useTermWork';
import { EvidenceName } from '../../shared/evidence/EvidenceName';
import { StepEvidence } from '../frame/StepEvidence';
import { Conversion } from '../../shared/evidence/Conversion';
import { RankLines } from '../../shared/evidence/RankLines';
import { DayByDay } from '../../shared/evidence/DayByDay';
import type { ReviewEngine } from '../../shared/reviewEngine/reviewEngine';
import type { LoadedReview, ReviewSettings, RowDetail } from '../../../plans/terms';

interface EvidencePanelProps {
  review: LoadedReview | undefined;
  engine: Remote<ReviewEngine>;
  row: number | null;
  step: StepName;
  settings: ReviewSettings;
  onAsks: (adGroupId: number, asks: BlockAsks | undefined) => void;
  decisions: TermDecisions;
  /** Changes when staged changes do, so that the panel is told anew. */
  version: number;
}

/** Why the focused row is proposed, and everything known about it. */
export const EvidencePanel = memo(function EvidencePanel(props: EvidencePanelProps) {
  const { review, row } = props;
  return (
    <StepEvidence>
      {review && row !== null ? <Evidence {...props} review={review} row={row} /> : null}
    </StepEvidence>
  );
});

function useDetail({
  engine,
  row,
  step,
  settings,
  review,
  version,
}: EvidencePanelProps & { review: LoadedReview; row: number }): RowDetail | null {
  const [detail, setDetail] = useState<RowDetail | null>(null);
  useEffect(() => {
    let isStale = false;
    void engine.detail(review.loadId, step, row, settings).then((answer) => !isStale && setDetail(answer));
    return () => {
      isStale = true;
    };
  }, [engine, row, step, settings, review, version]);
  return detail?.proposal.row === row && detail.proposal.step === step ? detail : null;
}

function Evidence(props: EvidencePanelProps & { review: LoadedReview; row: number }) {
  const { review, row, decisions } = props;
  const { table, window, account } = review;
  const detail = useDetail(props);
  const adGroupId = table.adGroupId[row];
  const termId = table.termId[row];
  const product = productAt(review, row);
  const last = window.unsettled.at(-1) ?? window.to;
  const days = useQuery({
    queryKey: ['term-days', account.id, adGroupId, termId, last],
    queryFn: () => api.termDays(account.id, adGroupId, termId, addDays(last, -119), last),
    staleTime: 60_000,
  });
  return (
    <>
      <EvidenceName
        name={table.term[row]}
        place={
          <>
            {placeName(row, review)}
            {detail && ` · ${kindWords(detail.kind)}`}
            {table.firstDay[row] > 0 && ` · first seen ${formatDay(dayFromNumber(table.firstDay[row]))}`}
            {detail?.isNew && ', new in this window'}
          </>
        }
      />
      {detail && (
        <>
          <p className="line">{detail.proposal.reason}</p>
          <ProposalForm proposal={decisions.edited(detail.proposal)} review={review} decisions={decisions} />
          {props.step === 'negatives' && (
            <SourceAsks
              asks={props.settings.bySource[adGroupId]}
              currency={account.currency}
              onAsks={(asks) => props.onAsks(adGroupId, asks)}
            />
          )}
          <Conversion
            usual={detail.prior.mean}
            strength={detail.prior.strength}
            clicks={detail.judged.clicks}
            orders={detail.judged.orders}
            days={detail.judged.days}
            needed={detail.needed}
          />
        </>
      )}
      <DayByDay
        account={account}
        last={last}
        settledTo={window.to}
        targetAcos={props.settings.targetAcos}
        margin={review.margins.find(({ productId }) => productId === product)?.share ?? null}
        asked={days}
      />
      {product != null && <RankLines account={account.id} product={product} term={termId} />}
      {detail && (
        <Elsewhere detail={detail} proposal={decisions.edited(detail.proposal)} review={review} row={row} />
      )}
    </>
  );
}

const kindWords = ({ name, word }: TermKind): string => (word === null ? name : `${name} (“${word}”)`);

const productAt = ({ structure, table }: LoadedReview, row: number) =>
  structure.adGroups.find(({ id }) => id === table.adGroupId[row])?.productId;
