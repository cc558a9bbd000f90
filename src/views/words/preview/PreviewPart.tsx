import Box from '@mui/material/Box';
import { useDeferredValue } from 'react';
import { KEYWORD_MATCHES } from '../../../core/matching';
import { counted, formatCount, formatMoney, formatShare } from '../../../core/units';
import { matchesOf } from '../../shared/offered';
import { useUrlState } from '../../shared/urlState';
import { Head } from '../Head';
import { TermLines } from '../TermLines';
import { api } from '../../shared/api';
import { useWordsAnswer } from '../../shared/askWords/useWordsAnswer';
import type { WordsPartProps } from '../wordsPartProps';
import { OneOf, TextBox } from '../../shared/kit';

/** A keyword tried on the account's past terms: what it would have caught, and why not the others. */
export function PreviewPart({ account }: WordsPartProps) {
  const { values, set } = useUrlState();
  const text = values.get('keyword') ?? '';
  const match = KEYWORD_MATCHES.find((one) => one === values.get('match')) ?? 'phrase';
  const asked = useDeferredValue({ expression: text, match });
  const { answer } = useWordsAnswer(account, ['preview', asked], () =>
    api.askWords(account.id, 'preview', asked),
  );
  const isEmpty = text.trim() === '';
  return (
    <main className="page">
      <Head>
        {isEmpty || !answer
          ? 'Type a keyword to see which past terms it would have caught.'
          : `It would have caught ${formatCount(answer.caughtCount)} ${answer.caughtCount === 1 ? 'term' : 'terms'}: ${counted(answer.sums.clicks, 'click')}, ${counted(answer.sums.orders, 'order')}, ${formatMoney(answer.sums.sales)} ${account.currency} of sales${answer.sums.sales > 0 ? ` at ${formatShare(answer.sums.spend / answer.sums.sales)} ACOS` : ''}.`}
      </Head>
      <div className="bar">
        <TextBox
          aria-label="Keyword"
          autoFocus
          letters={36}
          placeholder="for instance glass jar"
          value={text}
          onChange={(event) => set({ keyword: event.target.value || null })}
        />
        <OneOf label="Match" value={match} onChange={(next) => set({ match: next })}>
          {matchesOf(account)}
        </OneOf>
      </div>
      {!isEmpty && answer && (
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', gap: '24px' }}>
          <section aria-label="Caught">
            <h2 className="part">Caught</h2>
            {answer.caughtCount === 0 ? (
              <p className="faint">No term of the last 90 days.</p>
            ) : (
              <TermLines lines={answer.caught} currency={account.currency} />
            )}
            <More shown={answer.caught.length} all={answer.caughtCount} />
          </section>
          <section aria-label="Not caught">
            <h2 className="part">Not caught, though a word is shared</h2>
            <TermLines lines={answer.missed} currency={account.currency} />
            <More shown={answer.missed.length} all={answer.missedCount} />
          </section>
        </Box>
      )}
    </main>
  );
}

function More({ shown, all }: { shown: number; all: number }) {
  return all > shown ? <p className="faint">and {formatCount(all - shown)} with fewer clicks</p> : null;
}
