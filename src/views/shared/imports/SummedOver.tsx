import Button from '@mui/material/Button';
import { useState } from 'react';
import { DayField } from '../kit';
import type { ImportsState } from './useImports';

/** A file without days is a sum over some: asks over which. */
export function SummedOver({ imports }: { imports: ImportsState }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const isWrong = from !== '' && to !== '' && from > to;
  return (
    <div className="bar" role="group" aria-label="Summed over a period">
      <span className="faint">No column tells the day. Every row is a sum</span>
      <DayField label="From" value={from} isWrong={isWrong} onChange={setFrom} />
      <DayField label="To" value={to} isWrong={isWrong} onChange={setTo} />
      <Button
        variant="contained"
        disabled={from === '' || to === '' || isWrong}
        onClick={() => void imports.takeAgain({ from, to })}
      >
        Import it as one period
      </Button>
      <span className={isWrong ? 'over' : 'faint'}>
        {isWrong ? 'It ends before it begins.' : 'both days counted; or match the column of the day below'}
      </span>
    </div>
  );
}
