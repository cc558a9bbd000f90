import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { readPasted } from '../../../../core/build';
import type { KeywordMatch } from '../../../../core/matching';
import { matchForm } from '../../../../core/matching';
import { counted, formatCount } from '../../../../core/units';
import { saveBlob } from '../../../shared/api';
import { Check, FilePick, TextBox } from '../../../shared/kit';
import { matchesOf } from '../../../shared/offered';
import { useTell } from '../../../shared/useTell';
import type { OpenPlan } from '../usePlan';
import { SourceMenu } from './SourceMenu';

/** The heading of a file of terms: no term. */
const HEADING = 'term';

interface AddTermsProps {
  open: OpenPlan;
  matches: readonly KeywordMatch[];
  onMatches: (matches: readonly KeywordMatch[]) => void;
}

/** Terms pasted in any form, from a file, from the account or from the market. Item codes among them go to the items. */
export function AddTerms({ open, matches, onMatches }: AddTermsProps) {
  const { account, plan, edit } = open;
  const tell = useTell();
  const [text, setText] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const offered = matchesOf(account);
  const add = (pasted: string) => {
    const { terms, codes, again } = readPasted(pasted);
    const fresh = terms.filter((term) => term.toLowerCase() !== HEADING);
    if (fresh.length + codes.length === 0) return tell('Nothing was pasted that holds a word.');
    const known = new Map(plan.terms.map((term, at) => [matchForm(term.text), at]));
    const there = fresh.filter((term) => known.has(matchForm(term)));
    const kept = plan.terms.map((term) => {
      const isThere = there.some((one) => matchForm(one) === matchForm(term.text));
      return isThere ? { ...term, matches: [...new Set([...term.matches, ...matches])] } : term;
    });
    const added = fresh.filter((term) => !known.has(matchForm(term)));
    const items = codes.filter((code) => !plan.items.some((one) => one.code === code));
    edit(
      {
        terms: [...kept, ...added.map((one) => ({ text: one, matches: [...matches], bids: {} }))],
        items: [...plan.items, ...items.map((code) => ({ code, isOwn: false, bid: null }))],
      },
      `${counted(added.length, 'term')} added`,
    );
    setText('');
    tell(
      [
        `${counted(added.length, 'term')} added`,
        ...(there.length > 0
          ? [
              `${formatCount(there.length)} stood there: ${there.length === 1 ? 'it' : 'they'} got these match types too`,
            ]
          : []),
        ...(items.length > 0 ? [`${counted(items.length, 'item code')} went to the items`] : []),
        ...(again > 0 ? [`${formatCount(again)} stood twice in what was pasted`] : []),
      ].join('; '),
    );
  };
  return (
    <div className="addLines">
      <TextBox
        aria-label="Terms to add"
        lines={2}
        isWide
        value={text}
        placeholder="Paste terms: one a line, or parted by commas, semicolons or tabs. Ctrl+Enter adds them."
        onChange={({ target }) => setText((target as unknown as HTMLTextAreaElement).value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.stopPropagation();
            event.preventDefault();
            add(text);
          }
        }}
      />
      <div className="bar">
        <span className="faint">as</span>
        {offered.map((match) => (
          <Check
            key={match}
            isOn={matches.includes(match)}
            onChange={(isOn) =>
              onMatches(isOn ? [...matches, match] : matches.filter((one) => one !== match))
            }
          >
            {match}
          </Check>
        ))}
        <Button
          variant="contained"
          disabled={text.trim() === '' || matches.length === 0}
          onClick={() => add(text)}
        >
          Add
        </Button>
        <SourceMenu open={open} matches={matches} />
        <Button onClick={() => file.current?.click()}>From a file …</Button>
        <FilePick
          inputRef={file}
          label="File of terms"
          accept=".csv,.txt,.tsv"
          onFile={(chosen) => void chosen.text().then(add)}
        />
        <Button
          variant="link"
          onClick={() =>
            saveBlob(new Blob([`${HEADING}\n${open.data.product.name}\n`], { type: 'text/csv' }), 'terms.csv')
          }
        >
          Template
        </Button>
      </div>
    </div>
  );
}
