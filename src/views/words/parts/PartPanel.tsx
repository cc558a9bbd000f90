import type { AccountInfo } from '../../../contract/api';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { WordPart } from '../../../core/words';
import type { TrayState } from '../../shared/tray/useTray';
import type { LoadedWords } from '../../shared/wordsEngine/types';
import { SidePanel } from '../../shared/kit';
import { TermLines } from '../TermLines';
import { useWordsAnswer } from '../useWordsAnswer';
import { BlockPart } from './BlockPart';
import { PhraseKeyword } from './PhraseKeyword';

interface PartPanelProps {
  account: AccountInfo;
  loaded: LoadedWords;
  tray: TrayState;
  part: WordPart | undefined;
  productId: number | null;
}

/** Everything about one part: the terms that hold it, where they ran, and what to do. */
export function PartPanel({ account, loaded, tray, part, productId }: PartPanelProps) {
  const text = part?.text ?? '';
  const { answer: detail } = useWordsAnswer(loaded, ['part', text, productId], (engine, id) =>
    part ? engine.part(id, text, productId) : null,
  );
  return (
    <SidePanel label="The part">
      {!part || !detail ? (
        <p className="faint">{part ? 'Looking …' : 'Focus a part to see its terms.'}</p>
      ) : (
        <>
          <h2 className="pageTitle">{text}</h2>
          <p className="line">
            {formatCount(detail.terms.length)} {detail.terms.length === 1 ? 'term holds' : 'terms hold'} it,{' '}
            {detail.sold === 0 ? 'none of them sold' : `${formatCount(detail.sold)} sold`}:{' '}
            {formatCount(detail.sums.clicks)} clicks, {formatCount(detail.sums.orders)} orders,{' '}
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
        </>
      )}
    </SidePanel>
  );
}
