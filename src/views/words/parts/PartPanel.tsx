import type { AccountInfo } from '../../../contract/api';
import { counted, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { WordPart } from '../../../core/words';
import type { TrayState } from '../../shared/tray/useTray';
import { SidePanel } from '../../shared/kit';
import { TermLines } from '../TermLines';
import { api } from '../../shared/api';
import { useWordsAnswer } from '../../shared/askWords/useWordsAnswer';
import { BlockPart } from './BlockPart';
import { PhraseKeyword } from './PhraseKeyword';

interface PartPanelProps {
  account: AccountInfo;
  tray: TrayState;
  part: WordPart | undefined;
  productId: number | null;
}

/** Everything about one part: the terms that hold it, where they ran, and what to do. */
export function PartPanel({ account, tray, part, productId }: PartPanelProps) {
  const text = part?.text ?? '';
  const { answer: detail } = useWordsAnswer(
    account,
    ['part', text, productId],
    part ? () => api.askWords(account.id, 'part', { text, productId }) : null,
  );
  return (
    <SidePanel label="The part">
      {!part || !detail ? (
        <p className="faint">{part ? 'Looking …' : 'Focus a part to see its terms.'}</p>
      ) : (
        <>
          <h2 className="pageTitle">{text}</h2>
          <p className="line">
            {formatCount(detail.count)} {detail.count === 1 ? 'term holds' : 'terms hold'} it,{' '}
            {detail.sold === 0 ? 'none of them sold' : `${formatCount(detail.sold)} sold`}:{' '}
            {counted(detail.sums.clicks, 'click')}, {counted(detail.sums.orders, 'order')},{' '}
            {formatMoney(detail.sums.spend)} spend for {formatMoney(detail.sums.sales)} {account.currency} of
            sales in 90 days
            {part.chance !== null &&
              `; ${part.chance < 0.001 ? 'hardly any' : formatShare(part.chance, part.chance < 0.1 ? 1 : 0)} chance that it reaches ${formatShare(account.targetAcos, 0)} ACOS`}
            .
          </p>
          <BlockPart key={`block ${text}`} detail={detail} tray={tray} currency={account.currency} />
          <PhraseKeyword key={`bid ${text}`} account={account} detail={detail} tray={tray} />
          <h3 className="part">Terms that hold it</h3>
          <TermLines lines={detail.terms} currency={account.currency} />
          {detail.count > detail.terms.length && (
            <p className="faint">and {formatCount(detail.count - detail.terms.length)} more that cost less</p>
          )}
        </>
      )}
    </SidePanel>
  );
}
