import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { checkChange } from '../../../core/changes';
import type { MarketLimits } from '../../../core/changes';
import type { NegativeList } from '../../../core/negatives';
import { formatCount } from '../../../core/units';
import type { NegativeListInfo } from '../../../contract/words';
import { pastedTerms } from './listChanges';
import { Choice, Facts, TextBox } from '../../shared/kit';

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
      <Box
        component="form"
        sx={{ display: 'grid', gap: '6px', marginBottom: '10px' }}
        onSubmit={(event) => {
          event.preventDefault();
          onTerms([...terms, ...fresh]);
          setText('');
        }}
      >
        <TextBox
          isWide
          aria-label="Terms to add"
          placeholder="Paste terms, one a line; item codes are known by themselves"
          lines={3}
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
        />
        <span className="bar">
          <Choice label="Match" value={match} onChange={(next) => setMatch(next as typeof match)}>
            {['exact', 'phrase']}
          </Choice>
          <Button
            data-may="decide"
            type="submit"
            variant="outlined"
            disabled={fresh.length === 0 || findings.length > 0}
          >
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
      </Box>
      {terms.length > 0 && (
        <Facts>
          <TableHead>
            <TableRow>
              <TableCell>Term</TableCell>
              <TableCell>Match</TableCell>
              <TableCell className="figure">Holds in</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {terms.map(({ expression, match: own }, at) => (
              <TableRow key={`${own} ${expression}`}>
                <TableCell sx={{ overflowWrap: 'anywhere' }}>{expression}</TableCell>
                <TableCell className="faint">{own}</TableCell>
                <TableCell className="figure">
                  {formatCount(heldByTerm[at])} of {formatCount(campaignIds.length)}
                </TableCell>
                <TableCell className="figure">
                  <Button
                    data-may="decide"
                    sx={{ padding: 0 }}
                    aria-label={`Take ${expression} off`}
                    onClick={() => onTerms(terms.filter((_, other) => other !== at))}
                  >
                    Take off
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
    </section>
  );
}
