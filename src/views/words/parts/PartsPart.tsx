import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { formatCount, formatMoney } from '../../../core/units';
import { LONGEST_PART } from '../../../core/words';
import { useKeys } from '../../shared/useKeys';
import { useUrlState } from '../../shared/urlState';
import { wholeIn } from '../../shared/wholeIn';
import { PART_SORTS, USUAL_PART_CLICKS } from '../../../contract/wordQuestions';
import type { PartSort, PartsAsked } from '../../../contract/wordQuestions';
import { VirtualTable } from '../../../table';
import { Head } from '../Head';
import { ProductChoice } from '../ProductChoice';
import { api } from '../../shared/api';
import { useWordsAnswer } from '../../shared/askWords/useWordsAnswer';
import type { WordsPartProps } from '../wordsPartProps';
import { partColumns } from './partColumns';
import { PartPanel } from './PartPanel';
import { Columns, NumberField, TextBox } from '../../shared/kit';

/** Word parts over all terms of the account or a product, and what can be done about one. */
export function PartsPart({ account, loaded, tray }: WordsPartProps) {
  const { values, set } = useUrlState();
  const [focus, setFocus] = useState(0);
  const productId = wholeIn(values.get('product'));
  const sort = PART_SORTS.find((one) => one === values.get('sort')) ?? 'excess';
  const asked: PartsAsked = {
    productId,
    length: wholeIn(values.get('length'), LONGEST_PART),
    text: values.get('text') ?? '',
    minClicks: wholeIn(values.get('clicks')) ?? USUAL_PART_CLICKS,
    targetAcos: account.targetAcos,
    sort,
  };
  const { answer } = useWordsAnswer(account, ['parts', asked], () =>
    api.askWords(account.id, 'parts', asked),
  );
  const parts = answer?.parts ?? [];
  const at = Math.min(focus, Math.max(0, parts.length - 1));
  const part = parts[at];
  useKeys({
    arrowdown: () => setFocus(Math.min(parts.length - 1, at + 1)),
    arrowup: () => setFocus(Math.max(0, at - 1)),
  });
  const lost = parts.filter(({ excess }) => excess > 0).reduce((sum, { excess }) => Math.max(sum, excess), 0);
  return (
    <Columns name="word-parts" panel="open">
      <main className="tableGrid">
        <div className="tableHead">
          <Head>
            {!answer
              ? 'Taking the terms apart …'
              : `${formatCount(answer.found)} word parts${lost > 0 ? `; the dearest costs ${formatMoney(lost)} ${account.currency} more than the target ACOS allows` : ''}.`}
          </Head>
          <div className="bar">
            <ProductChoice
              loaded={loaded}
              value={productId}
              all="All products"
              onChange={(id) => set({ product: id === null ? null : String(id) })}
            />
            <ToggleButtonGroup
              size="small"
              exclusive
              value={asked.length ?? 0}
              onChange={(_, next: number | null) =>
                next !== null && set({ length: next === 0 ? null : String(next) })
              }
              aria-label="Words in a part"
            >
              {[0, ...Array.from({ length: LONGEST_PART }, (_, index) => index + 1)].map((length) => (
                <ToggleButton key={length} value={length}>
                  {length === 0 ? 'any length' : length === 1 ? '1 word' : `${length} words`}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            <NumberField
              label="At least"
              unit="clicks"
              value={asked.minClicks}
              min={1}
              step={5}
              onChange={(clicks) => set({ clicks: String(Math.round(clicks)) })}
            />
            <TextBox
              aria-label="Parts that hold"
              placeholder="holds …"
              letters={14}
              value={asked.text}
              onChange={(event) => set({ text: event.target.value || null })}
            />
          </div>
        </div>
        <VirtualTable
          label="Word parts"
          columns={partColumns(account.currency, account.targetAcos)}
          count={parts.length}
          rowAt={(index) => parts[index]}
          keyAt={(index) => index}
          rowHeight={28}
          focus={at}
          onFocus={setFocus}
          isSelected={() => false}
          onSelect={setFocus}
          sorts={[{ by: sort, descending: true }]}
          onSort={(key) => PART_SORTS.includes(key as PartSort) && set({ sort: key })}
          empty={answer ? 'No part has that many clicks and holds that text.' : 'Taking the terms apart …'}
        />
      </main>
      <PartPanel key={part?.text} account={account} tray={tray} part={part} productId={productId} />
    </Columns>
  );
}
