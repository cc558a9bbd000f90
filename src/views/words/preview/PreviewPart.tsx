import { useDeferredValue } from 'react';
import type { KeywordMatch } from '../../../core/matching';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import { useUrlState } from '../../shared/urlState';
import { Head } from '../Head';
import { TermLines } from '../TermLines';
import { useWordsAnswer } from '../useWordsAnswer';
import type { WordsPartProps } from '../wordsPartProps';

const MATCHES: KeywordMatch[] = ['exact', 'phrase', 'broad'];

/** A keyword tried on the account's past terms: what it would have caught, and why not the others. */
export function PreviewPart({ account, loaded }: WordsPartProps) {
  const { values, set } = useUrlState();
  const text = values.get('keyword') ?? '';
  const match = MATCHES.find((one) => one === values.get('match')) ?? 'phrase';
  const asked = useDeferredValue({ expression: text, match });
  const { answer } = useWordsAnswer(loaded, ['preview', asked], (engine, id) => engine.preview(id, asked));
  const isEmpty = text.trim() === '';
  return (
    <main style={{ overflow: 'auto', padding: '12px 16px' }}>
      <Head>
        {isEmpty || !answer
          ? 'Type a keyword to see which past terms it would have caught.'
          : `It would have caught ${formatCount(answer.caughtCount)} ${answer.caughtCount === 1 ? 'term' : 'terms'}: ${formatCount(answer.sums.clicks)} clicks, ${formatCount(answer.sums.orders)} orders, ${formatMoney(answer.sums.sales)} ${account.currency} of sales${answer.sums.sales > 0 ? ` at ${formatShare(answer.sums.spend / answer.sums.sales)} ACOS` : ''}.`}
      </Head>
      <div className="bar" style={{ gap: 12, marginBottom: 10 }}>
        <input
          aria-label="Keyword"
          autoFocus
          size={36}
          placeholder="for instance glass jar"
          value={text}
          onChange={(event) => set({ keyword: event.target.value || null })}
        />
        {MATCHES.map((one) => (
          <label key={one}>
            <input type="radio" name="match" checked={match === one} onChange={() => set({ match: one })} />{' '}
            {one}
          </label>
        ))}
      </div>
      {!isEmpty && answer && (
        <div style={{ display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', gap: 24 }}>
          <section aria-label="Caught">
            <h2 style={{ fontSize: 13, margin: '0 0 4px' }}>Caught</h2>
            {answer.caughtCount === 0 ? (
              <p className="faint">No term of the last 90 days.</p>
            ) : (
              <TermLines lines={answer.caught} currency={account.currency} />
            )}
            <More shown={answer.caught.length} all={answer.caughtCount} />
          </section>
          <section aria-label="Not caught">
            <h2 style={{ fontSize: 13, margin: '0 0 4px' }}>Not caught, though a word is shared</h2>
            <TermLines lines={answer.missed} currency={account.currency} />
            <More shown={answer.missed.length} all={answer.missedCount} />
          </section>
        </div>
      )}
    </main>
  );
}

function More({ shown, all }: { shown: number; all: number }) {
  return all > shown ? <p className="faint">and {formatCount(all - shown)} with fewer clicks</p> : null;
}
