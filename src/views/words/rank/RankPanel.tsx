import type { AccountInfo } from '../../../contract/api';
import { productTermSubject } from '../../../contract/aside';
import type { RankAnswer } from '../../../contract/rank';
import { EFFECT_DAYS, isPlace, moveOf, rankValue } from '../../../core/rank';
import type { RankRow } from '../../../core/rank';
import { formatCount, formatNumber, formatShare } from '../../../core/units';
import { AcceptLoss } from '../../shared/losses/AcceptLoss';
import { pageLink } from '../../shared/frame/pages';
import { Notes } from '../../shared/evidence/Notes';
import { PlaceLink, SidePanel } from '../../shared/kit';
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
  if (!row)
    return (
      <SidePanel label="The term">
        <p className="faint">Focus a term to see what its rank is worth.</p>
      </SidePanel>
    );
  const subject = productTermSubject(row.productId, row.termId);
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
        <AcceptLoss account={account} subject={subject} what="this term" until={row.acceptedUntil} />
        <PlaceLink
          href={`${pageLink('field', account.id)}&lens=terms&where=${encodeURIComponent(`name~${row.term}`)}&where=${encodeURIComponent(`product~${row.product}`)}`}
        >
          Where it ran
        </PlaceLink>
      </div>
      <LongerTerms row={row} answer={answer} currency={account.currency} />
      <Notes account={account.id} subject={subject} />
    </SidePanel>
  );
}

/** What is known of a rank's worth, sentence by sentence; what cannot be known is not said. */
function worthSentences(
  row: RankRow,
  { effect, deepest, organic: fitted }: RankAnswer,
  currency: string,
): string[] {
  const money = (micros: number | null) => `${wholeMoney(micros)} ${currency}`;
  const { organic, holds, gains, gainCost, rank, spendAMonth } = row;
  const share = rankValue('rank.adShare', row, deepest);
  const list = [
    `Rank ${rankSentence(rank)}, before ${rankSentence(row.rankBefore)}; ${formatCount(row.weeklySearches)} searches a week.`,
  ];
  if (organic !== null && rank !== null)
    list.push(
      isPlace(rank)
        ? `At this rank about ${money(organic)} of sales a month come without ads${share === null ? '' : `; ads bring ${formatShare(share, 0)} of all`}. ${ownWords(fitted.own)}`
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

/** What an estimate of organic sales rests on. */
const ownWords = (own: number) =>
  own < 0.005
    ? 'Estimated from what ranks usually bring; this account has not shown it yet.'
    : `Estimated: ${formatShare(own, 0)} of how ranks sell is from this account, the rest from what is usual.`;

const fallWords = (to: number) => (isPlace(to) ? `to about ${rankSentence(to)}` : rankSentence(to));

function fallen(row: RankRow, effect: RankAnswer['effect'], deepest: number): number {
  if (effect.verdict === 'early' || row.rank === null || row.sums.spend === 0) return 0;
  // Orders a week at the pace of its spend a month.
  const orders = (row.sums.orders * row.spendAMonth * 7) / (row.sums.spend * 30);
  const to = row.rank * Math.exp(-moveOf(effect, orders));
  return to > deepest ? 0 : to;
}
