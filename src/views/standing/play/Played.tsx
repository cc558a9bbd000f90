import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Measured, PlayedWeeks, shortNumber } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import type { Played as PlayedInfo } from '../../../contract/rules';
import type { PlayedSums, Spread } from '../../../core/played';
import { counted, formatCount, formatMoney, formatShare, MICROS_PER_UNIT } from '../../../core/units';
import { Choice, Facts } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { useRemembered } from '../../shared/useRemembered';

const SHOWN = { sales: 'Sales', spend: 'Spend', profit: 'Profit after ads' } as const;
type Shown = keyof typeof SHOWN;

/** What a play came to: with and without, week by week, and how sure that is over several markets. */
export function Played({ account, played }: { account: AccountInfo; played: PlayedInfo }) {
  const { all, byWeek, markets, weeks, gained, better, asked, like, margin, clicks, isAsItStands, moves } =
    played;
  const { currency } = account;
  const [chosen, setChosen] = useRemembered<Shown>('played-shown', 'sales');
  const offered = (Object.keys(SHOWN) as Shown[]).filter((key) => key !== 'profit' || margin !== null);
  const shown = offered.includes(chosen) ? chosen : 'sales';
  const banded = (key: 'with' | 'without') => byWeek.map((week): Spread => week[key][shown] ?? NONE);
  return (
    <>
      <p className="note">
        {isAsItStands ? '' : 'It was played before it was changed: play it again. '}
        {counted(weeks, 'week')} on {counted(markets, 'market')} like{' '}
        {clicks > 0 ? 'what it works in' : 'the account, for nothing of what it works in was clicked yet'}:{' '}
        {formatMoney(asked.price)} {currency} a piece, {formatCount(Math.round(like.clicksPerDay))} clicks a
        day and product, {formatShare(like.conversion)} of clicks buy. A simulation is no promise. Better with
        it on {formatCount(better)} of {formatCount(markets)}: sales {changeWords(gained.sales)}
        {gained.profit ? `, profit after ads ${changeWords(gained.profit)}` : ''} {currency} in all.
      </p>
      <Facts aria-label="Played, all weeks">
        <TableHead>
          <TableRow>
            <TableCell>A market, all weeks</TableCell>
            <TableCell className="figure">Spend, {currency}</TableCell>
            <TableCell className="figure">Sales, {currency}</TableCell>
            <TableCell className="figure">ACOS</TableCell>
            <TableCell className="figure">Profit after ads, {currency}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          <Sums name="with it" sums={all.with} />
          <Sums name="without" sums={all.without} />
        </TableBody>
      </Facts>
      {weeks > 1 && (
        <>
          <div className="bar">
            <Choice label="Shown week by week" value={shown} onChange={(next) => setChosen(next as Shown)}>
              {offered.map((key): Option => [key, SHOWN[key]])}
            </Choice>
            <span className="faint small">a week; the band holds eight markets of ten</span>
          </div>
          <Measured>
            {(width) => (
              <PlayedWeeks
                caption={`${SHOWN[shown]} by week, with it and without`}
                with={banded('with')}
                without={banded('without')}
                show={(value) => formatMoney(value)}
                tick={(value) => shortNumber(value / MICROS_PER_UNIT)}
                width={width}
              />
            )}
          </Measured>
        </>
      )}
      {moves.length > 0 && (
        <>
          <p className="note">What it did on the first of them:</p>
          <ul className="plainList">
            {moves.slice(0, MOST_MOVES).map(({ day, words }, at) => (
              <li key={at}>
                <span className="faint">day {formatCount(day)}</span> {words}
              </li>
            ))}
          </ul>
          {moves.length > MOST_MOVES && (
            <p className="note">and {counted(moves.length - MOST_MOVES, 'more move')}.</p>
          )}
        </>
      )}
    </>
  );
}

const MOST_MOVES = 25;
const NONE: Spread = { mean: 0, low: 0, high: 0 };

const signed = (micros: number) => `${micros < 0 ? '−' : '+'}${formatMoney(Math.abs(micros))}`;
const changeWords = ({ mean, low, high }: Spread) => `${signed(mean)} (${signed(low)} to ${signed(high)})`;

function Sums({ name, sums: { spend, sales, acos, profit } }: { name: string; sums: PlayedSums }) {
  return (
    <TableRow>
      <TableCell>{name}</TableCell>
      <SpreadCell spread={spend} />
      <SpreadCell spread={sales} />
      <TableCell className="figure">{formatShare(acos)}</TableCell>
      {profit ? (
        <SpreadCell spread={profit} />
      ) : (
        <TableCell className="figure">costs are not known</TableCell>
      )}
    </TableRow>
  );
}

const SpreadCell = ({ spread: { mean, low, high } }: { spread: Spread }) => (
  <TableCell className="figure">
    {formatMoney(mean)}{' '}
    <span className="faint small">
      {formatMoney(low)} to {formatMoney(high)}
    </span>
  </TableCell>
);
