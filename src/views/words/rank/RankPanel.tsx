import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { productTermSubject } from '../../../contract/aside';
import type { RankAnswer } from '../../../contract/rank';
import { EFFECT_DAYS, isPlace, moveOf, rankValue } from '../../../core/rank';
import type { RankRow } from '../../../core/rank';
import { formatCount, formatDay, formatNumber, formatShare } from '../../../core/units';
import { api } from '../../shared/api';
import { LossDialog } from '../../shared/losses/LossDialog';
import { pageLink } from '../../shared/frame/pages';
import { Notes } from '../../shared/evidence/Notes';
import { PlaceLink, SidePanel } from '../../shared/kit';
import { useTell } from '../../shared/useTell';
import { LongerTerms } from './LongerTerms';
import { wholeMoney } from './rankColumns';
import { rankSentence } from '../../shared/rank/rankWords';

interface RankPanelProps {
  account: AccountInfo;
  answer: RankAnswer;
  row: RankRow | undefined;
}

/** What a product's rank for a term is worth, what it would cost to hold or gain, and what can be done about it. */
export function RankPanel({ account, answer, row }: RankPanelProps) {
  const [isAsking, setIsAsking] = useState(false);
  const client = useQueryClient();
  const tell = useTell();
  if (!row)
    return (
      <SidePanel label="The term">
        <p className="faint">Focus a term to see what its rank is worth.</p>
      </SidePanel>
    );
  const subject = productTermSubject(row.productId, row.termId);
  const change = async (run: () => Promise<unknown>, said: string) => {
    try {
      await run();
      await client.invalidateQueries({ queryKey: ['rank'] });
      await client.invalidateQueries({ queryKey: ['losses'] });
      await client.invalidateQueries({ queryKey: ['aside'] });
      await client.invalidateQueries({ queryKey: ['notes'] });
      tell(said);
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
  };
  return (
    <SidePanel label="The term">
      <h2 className="pageTitle">{row.term}</h2>
      <p className="line">
        {row.product}
        {row.home ? `; home ${row.home.name}` : '; it has no home'}
        {row.isCore ? '; core term' : ''}.
      </p>
      <h3 className="part">What it is worth</h3>
      {worthSentences(row, answer, account.currency).map((sentence) => (
        <p className="line" key={sentence}>
          {sentence}
        </p>
      ))}
      <div className="bar">
        {row.acceptedUntil === null ? (
          <Button variant="outlined" onClick={() => setIsAsking(true)}>
            Accept its loss …
          </Button>
        ) : (
          <>
            <span>Loss accepted until {formatDay(row.acceptedUntil)}.</span>
            <Button
              onClick={() =>
                void change(
                  () => api.changeLosses({ account: account.id, subjects: [subject], does: 'end' }),
                  'The loss is accepted no longer; its bids are proposed again.',
                )
              }
            >
              End it
            </Button>
          </>
        )}
        <PlaceLink
          href={`${pageLink('field', account.id)}&lens=terms&where=${encodeURIComponent(`name~${row.term}`)}&where=${encodeURIComponent(`product~${row.product}`)}`}
        >
          Where it ran
        </PlaceLink>
      </div>
      <LongerTerms row={row} answer={answer} currency={account.currency} />
      <Notes account={account.id} subject={subject} />
      {isAsking && (
        <LossDialog
          what="this term"
          today={account.today}
          currency={account.currency}
          onDone={(loss) => {
            setIsAsking(false);
            if (loss)
              void change(
                () => api.changeLosses({ account: account.id, subjects: [subject], does: 'accept', ...loss }),
                `The loss is accepted until ${formatDay(loss.until)}; the bids on the term stay as they are.`,
              );
          }}
        />
      )}
    </SidePanel>
  );
}

/** What is known of a rank's worth, sentence by sentence; what cannot be known is not said. */
function worthSentences(row: RankRow, { effect, deepest }: RankAnswer, currency: string): string[] {
  const money = (micros: number | null) => `${wholeMoney(micros)} ${currency}`;
  const { organic, holds, gains, gainCost, rank, spendAMonth } = row;
  const share = rankValue('rank.adShare', row, deepest);
  const list = [
    `Rank ${rankSentence(rank)}, before ${rankSentence(row.rankBefore)}; ${formatCount(row.weeklySearches)} searches a week.`,
  ];
  if (organic !== null && rank !== null)
    list.push(
      isPlace(rank)
        ? `At this rank about ${money(organic)} of sales a month come without ads${share === null ? '' : `; ads bring ${formatShare(share, 0)} of all`}. Estimated from what ranks brought in this account.`
        : 'Beyond the last page nobody finds it without ads.',
    );
  if (effect.verdict !== 'known') {
    list.push('What ads do to its rank is not known yet, so neither is what it costs to hold or gain.');
    return list;
  }
  if (rank === null || !isPlace(rank)) return list;
  if (holds !== null && spendAMonth > 0) {
    const orders = row.sums.orders;
    list.push(
      orders > 0
        ? `To hold: ads cost ${money(spendAMonth)} a month. Without their orders it would fall ${fallWords(fallen(row, effect, deepest))} in ${EFFECT_DAYS / 7} weeks, and about ${money(holds)} of organic sales a month with it.`
        : `Ads cost ${money(spendAMonth)} a month and brought no order, so they hold nothing.`,
    );
  }
  if (gains !== null && gainCost !== null)
    list.push(
      `To gain: rank ${formatNumber(Math.max(1, rank / 2), 1)} in ${EFFECT_DAYS / 7} weeks would take about ${money(gainCost)} more ad spend a month and add about ${money(gains)} of organic sales.`,
    );
  return list;
}

const fallWords = (to: number) => (isPlace(to) ? `to about ${rankSentence(to)}` : rankSentence(to));

function fallen(row: RankRow, effect: RankAnswer['effect'], deepest: number): number {
  if (effect.verdict === 'early' || row.rank === null || row.sums.spend === 0) return 0;
  // Orders a week at the pace of its spend a month.
  const orders = (row.sums.orders * row.spendAMonth * 7) / (row.sums.spend * 30);
  const to = row.rank * Math.exp(-moveOf(effect, orders));
  return to > deepest ? 0 : to;
}
