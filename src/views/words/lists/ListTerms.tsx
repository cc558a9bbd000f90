import Button from '@mui/material/Button';
import { useState } from 'react';
import { checkChange } from '../../../core/changes';
import type { MarketLimits } from '../../../core/changes';
import type { NegativeList } from '../../../core/negatives';
import { formatCount } from '../../../core/units';
import type { NegativeListInfo } from '../../../contract/words';
import { pastedTerms } from './listChanges';

interface ListTermsProps {
  list: NegativeListInfo;
  limits: MarketLimits;
  onTerms: (terms: NegativeList['terms']) => void;
}

/** The terms of a list: pasted, taken off, each with in how many campaigns it holds. */
export function ListTerms({ list, limits, onTerms }: ListTermsProps) {
  const { terms, campaignIds, heldByTerm } = list;
  const [text, setText] = useState('');
  const [match, setMatch] = useState<'exact' | 'phrase'>('exact');
  const fresh = pastedTerms(text, match, terms);
  const findings = [
    ...new Set(
      fresh.flatMap((term) =>
        checkChange({ kind: 'add-negative', campaignId: 0, adGroupId: null, ...term }, limits).map(
          ({ sentence }) => `“${term.expression.slice(0, 40)}”: ${sentence}`,
        ),
      ),
    ),
  ];
  return (
    <section aria-label="Terms of the list">
      <form
        style={{ display: 'grid', gap: 6, marginBottom: 10 }}
        onSubmit={(event) => {
          event.preventDefault();
          onTerms([...terms, ...fresh]);
          setText('');
        }}
      >
        <textarea
          aria-label="Terms to add"
          placeholder="Paste terms, one a line; item codes are known by themselves"
          rows={3}
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
        />
        <span className="bar" style={{ gap: 8 }}>
          <select
            aria-label="Match"
            value={match}
            onChange={(event) => setMatch(event.target.value as typeof match)}
          >
            <option>exact</option>
            <option>phrase</option>
          </select>
          <Button type="submit" variant="outlined" disabled={fresh.length === 0 || findings.length > 0}>
            Add {fresh.length > 0 ? formatCount(fresh.length) : ''}
          </Button>
          {text.trim() !== '' && fresh.length === 0 && (
            <span className="faint">The list holds all of these.</span>
          )}
        </span>
        {findings.slice(0, 4).map((sentence) => (
          <span key={sentence} className="over">
            ▲ {sentence}
          </span>
        ))}
      </form>
      {terms.length > 0 && (
        <table className="plain">
          <thead>
            <tr>
              <th>Term</th>
              <th>Match</th>
              <th className="figure">Holds in</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {terms.map(({ expression, match: own }, at) => (
              <tr key={`${own} ${expression}`}>
                <td style={{ overflowWrap: 'anywhere' }}>{expression}</td>
                <td className="faint">{own}</td>
                <td className="figure">
                  {formatCount(heldByTerm[at])} of {formatCount(campaignIds.length)}
                </td>
                <td className="figure">
                  <Button
                    sx={{ padding: 0 }}
                    aria-label={`Take ${expression} off`}
                    onClick={() => onTerms(terms.filter((_, other) => other !== at))}
                  >
                    Take off
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
