import Box from '@mui/material/Box';
import { formatCount, formatNumber } from '../../../core/units';
import { formatIn } from '../../shared/formatValue';
import { moveOf } from './figures';
import type { Figure } from './figures';

/** The figures of the account, each with what it was in the window before and how much it moved. */
export function Figures({ figures, currency }: { figures: Figure[]; currency: string }) {
  return (
    <Box
      role="list"
      aria-label="Figures of the account"
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(9, minmax(0, 1fr))',
        borderTop: '1px solid var(--hairline)',
        borderBottom: '1px solid var(--hairline)',
      }}
    >
      {figures.map((figure, at) => (
        <Box
          key={figure.key}
          role="listitem"
          title={figure.definition}
          sx={{ padding: '8px 10px', borderLeft: at > 0 ? '1px solid var(--hairline)' : undefined }}
        >
          <div className="faint small">
            {figure.label}
            {figure.unit === 'money' && ` ${currency}`}
          </div>
          <Box className="serif cut" sx={{ fontSize: 19, fontVariantNumeric: 'tabular-nums lining-nums' }}>
            {show(figure, figure.now)}
          </Box>
          <div className="faint small">
            <Move figure={figure} />
          </div>
          <div className="faint small">was {show(figure, figure.before)}</div>
        </Box>
      ))}
    </Box>
  );
}

/** Sums of a month are read without their cents. */
function show({ unit, decimals, key }: Figure, value: number | null): string {
  if (unit === 'money' && key !== 'orderValue' && value !== null) return formatCount(Math.round(value / 1e6));
  return formatIn(unit, value, decimals);
}

function Move({ figure }: { figure: Figure }) {
  const move = moveOf(figure);
  if (move === null) return <>–</>;
  const size = formatNumber(Math.abs(move.value * 100), 1);
  const isGood = figure.better === null ? null : (figure.better === 'higher') === move.value > 0;
  const sign = move.value > 0 ? '↑' : '↓';
  if (!/[1-9]/.test(size)) return <>unchanged</>;
  return (
    <span className={isGood === null ? '' : isGood ? 'under' : 'over'}>
      {sign} {size} {move.isShare ? '%' : 'points'}{' '}
    </span>
  );
}
