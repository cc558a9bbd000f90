import { formatIn } from '../../shared/formatValue';
import { moveOf } from './figures';
import type { Figure } from './figures';

/** The figures of the account, each with what it was in the window before and how much it moved. */
export function Figures({ figures, currency }: { figures: Figure[]; currency: string }) {
  return (
    <div
      role="list"
      aria-label="Figures of the account"
      style={{
        display: 'grid',
        gridTemplateColumns: 'repeat(9, minmax(0, 1fr))',
        borderTop: '1px solid var(--hairline)',
        borderBottom: '1px solid var(--hairline)',
      }}
    >
      {figures.map((figure, at) => (
        <div
          key={figure.key}
          role="listitem"
          title={figure.definition}
          style={{ padding: '8px 10px', borderLeft: at > 0 ? '1px solid var(--hairline)' : undefined }}
        >
          <div className="faint cut" style={{ fontSize: 12 }}>
            {figure.label}
            {figure.unit === 'money' && ` ${currency}`}
          </div>
          <div className="serif cut" style={{ fontSize: 19, fontVariantNumeric: 'tabular-nums lining-nums' }}>
            {show(figure, figure.now)}
          </div>
          <div className="faint cut" style={{ fontSize: 12 }}>
            <Move figure={figure} />
          </div>
          <div className="faint cut" style={{ fontSize: 12 }}>
            was {show(figure, figure.before)}
          </div>
        </div>
      ))}
    </div>
  );
}

/** Sums of a month are read without their cents. */
function show({ unit, decimals, key }: Figure, value: number | null): string {
  if (unit === 'money' && key !== 'orderValue' && value !== null)
    return Math.round(value / 1e6).toLocaleString('en-GB');
  return formatIn(unit, value, decimals);
}

function Move({ figure }: { figure: Figure }) {
  const move = moveOf(figure);
  if (move === null) return <>–</>;
  const size = Math.abs(move.value * 100).toFixed(1);
  const isGood = figure.better === null ? null : (figure.better === 'higher') === move.value > 0;
  const sign = move.value > 0 ? '↑' : '↓';
  if (size === '0.0') return <>unchanged</>;
  return (
    <span className={isGood === null ? '' : isGood ? 'under' : 'over'}>
      {sign} {size} {move.isShare ? '%' : 'points'}{' '}
    </span>
  );
}
