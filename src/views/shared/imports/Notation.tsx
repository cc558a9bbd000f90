import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ImportAnswer } from '../../../contract/api';
import type { FileSaid } from '../api';
import { Choice } from '../kit';
import type { ImportsState } from './useImports';

/** What a file can be read as in two ways: asked with a value of its own, and remembered for the next one. */
export function Notation({ imports, answer }: { imports: ImportsState; answer: ImportAnswer }) {
  const { decimals, dayOrder } = answer.asks;
  const [said, setSaid] = useState<Pick<FileSaid, 'decimals' | 'dayOrder'>>({});
  if (decimals === null && dayOrder === null) return null;
  const isSaid = (decimals === null || said.decimals) && (dayOrder === null || said.dayOrder);
  return (
    <div className="bar" role="group" aria-label="Read in two ways">
      {decimals !== null && (
        <Choice
          label={`“${decimals}” is`}
          isLabelled
          value={said.decimals ?? ''}
          onChange={(next) => setSaid({ ...said, decimals: next as FileSaid['decimals'] })}
          placeholder="Choose …"
        >
          {[
            ['', 'Choose …'],
            [markOf(decimals) === '.' ? 'comma' : 'point', `${decimals.replace(/[^\d]/g, '')}: thousands`],
            [markOf(decimals) === '.' ? 'point' : 'comma', `${decimals}: decimals`],
          ]}
        </Choice>
      )}
      {dayOrder !== null && (
        <Choice
          label={`In “${dayOrder}”`}
          isLabelled
          value={said.dayOrder ?? ''}
          onChange={(next) => setSaid({ ...said, dayOrder: next as FileSaid['dayOrder'] })}
          placeholder="Choose …"
        >
          {[
            ['', 'Choose …'],
            ['day-first', 'the day comes first'],
            ['month-first', 'the month comes first'],
          ]}
        </Choice>
      )}
      <Button variant="contained" disabled={!isSaid} onClick={() => void imports.takeAgain(said)}>
        Read it so
      </Button>
    </div>
  );
}

/** The mark that may part thousands or decimals. */
const markOf = (text: string) => /[.,]/.exec(text)?.[0];
