import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { RankAnswer } from '../../../contract/rank';
import { holdsWords, matchWords } from '../../../core/matching';
import type { RankRow } from '../../../core/rank';
import { DASH } from '../../../core/units';
import { Facts } from '../../shared/kit';
import { wholeMoney } from './rankColumns';
import { rankText } from '../../shared/rank/rankWords';

const MOST = 8;

/** Longer terms of the product that hold all words of a term: where the term itself is too dear, one of them may be cheap to gain. */
export function LongerTerms({
  row,
  answer,
  currency,
}: {
  row: RankRow;
  answer: RankAnswer;
  currency: string;
}) {
  const words = matchWords(row.term);
  const longer = answer.rows
    .filter(
      (one) =>
        one.productId === row.productId &&
        one.termId !== row.termId &&
        holdsWords(matchWords(one.term), words),
    )
    .sort((a, b) => (b.gains ?? 0) - (b.gainCost ?? 0) - ((a.gains ?? 0) - (a.gainCost ?? 0)))
    .slice(0, MOST);
  if (longer.length === 0) return null;
  const isDear = row.gains !== null && row.gainCost !== null && row.gainCost > row.gains;
  return (
    <>
      <h3 className="part">{isDear ? 'Too dear; longer terms' : 'Longer terms'}</h3>
      <Facts aria-label="Longer terms">
        <TableHead>
          <TableRow>
            <TableCell>Term</TableCell>
            <TableCell className="figure">Rank</TableCell>
            <TableCell className="figure">To gain {currency}</TableCell>
            <TableCell className="figure">Gains</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {longer.map((one) => (
            <TableRow key={one.termId}>
              <TableCell>{one.term}</TableCell>
              <TableCell className="figure">{rankText(one.rank)}</TableCell>
              <TableCell className="figure">
                {one.gainCost === null ? DASH : wholeMoney(one.gainCost)}
              </TableCell>
              <TableCell className="figure">{one.gains === null ? DASH : wholeMoney(one.gains)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </>
  );
}
