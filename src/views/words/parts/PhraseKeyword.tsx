import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { startingBid } from '../../../core/harvest';
import { USUAL_START } from '../../../core/routes';
import { counted, formatMoney, formatShare } from '../../../core/units';
import type { TrayState } from '../../shared/tray/useTray';
import type { PartDetail } from '../../../plans/words';
import { Choice, MoneyField } from '../../shared/kit';
import type { Option } from '../../shared/kit';

interface PhraseKeywordProps {
  account: AccountInfo;
  detail: PartDetail;
  tray: TrayState;
}

/** A part that sells well as a keyword of its own: phrase match, in an ad group where its terms ran. */
export function PhraseKeyword({ account, detail, tray }: PhraseKeywordProps) {
  const { sums } = detail;
  const isGood = sums.sales > 0 && sums.spend <= account.targetAcos * sums.sales;
  const [adGroupId, setAdGroup] = useState(detail.adGroups[0]?.id ?? 0);
  const start = startingBid(
    {
      valuePerClick: sums.clicks > 0 ? sums.sales / sums.clicks : 0,
      cpc: sums.clicks > 0 ? sums.spend / sums.clicks : 0,
      suggested: null,
      targetAcos: account.targetAcos,
      // Its terms ran at many bids: none of them is the one to go by.
      costOfBid: 1,
    },
    USUAL_START,
    account.limits,
  );
  const [bid, setBid] = useState(start.bid);
  if (!isGood || detail.adGroups.length === 0) return null;
  if (detail.isKeyword) return <p className="faint">A live phrase keyword bids on it already.</p>;
  const { clicks, orders, spend, sales } = sums;
  const stage = () =>
    tray.stage.mutate([
      {
        change: { kind: 'add-keyword', adGroupId, expression: detail.text, match: 'phrase', bid },
        reason: `Terms that hold “${detail.text}” sold at ${formatShare(spend / sales)} ACOS: ${counted(clicks, 'click')}, ${counted(orders, 'order')}, ${formatMoney(sales)} of sales in 90 days.`,
        figures: { step: 'harvest', clicks, orders, spend, sales },
        effect: { spend: 0, sales: 0 },
      },
    ]);
  return (
    <section aria-label="Bid on the part" className="ruled">
      <p className="line">It sells at {formatShare(spend / sales)} ACOS: worth a phrase keyword.</p>
      <div className="bar">
        <Choice label="Ad group" value={adGroupId} onChange={(next) => setAdGroup(Number(next))}>
          {detail.adGroups.map(({ id, name }): Option => [id, name])}
        </Choice>
        <MoneyField
          label="Bid"
          micros={bid}
          currency={account.currency}
          least={account.limits.minBid}
          step={account.limits.bidStep}
          onMicros={setBid}
        />
        <Button data-may="decide" variant="outlined" disabled={tray.stage.isPending} onClick={stage}>
          Bid on it
        </Button>
      </div>
    </section>
  );
}
