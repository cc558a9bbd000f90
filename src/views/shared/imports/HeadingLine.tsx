import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ImportAnswer } from '../../../contract/api';
import { Choice } from '../kit';
import type { Option } from '../kit';
import type { ImportsState } from './useImports';

const MOST_CHARACTERS = 90;

/** Which line of a file holds its headings: the one that was taken for it, or another one that is pointed at. */
export function HeadingLine({ imports, answer }: { imports: ImportsState; answer: ImportAnswer }) {
  const { firstLines, headingLine } = answer;
  const [line, setLine] = useState(String(headingLine ?? 1));
  if (firstLines.length < 2) return null;
  return (
    <div className="bar">
      <span className="faint">Headings are in</span>
      <Choice label="Line of the headings" value={line} onChange={setLine}>
        {firstLines.map((cells, at): Option => [String(at + 1), labelOf(at + 1, cells)])}
      </Choice>
      {line !== String(headingLine) && (
        <Button variant="outlined" onClick={() => void imports.takeAgain({ headingLine: Number(line) })}>
          Read it again so
        </Button>
      )}
    </div>
  );
}

function labelOf(line: number, cells: string[]): string {
  const text = cells.filter((cell) => cell !== '').join(' · ');
  return `line ${line}: ${text.length > MOST_CHARACTERS ? `${text.slice(0, MOST_CHARACTERS)}…` : text}`;
}
