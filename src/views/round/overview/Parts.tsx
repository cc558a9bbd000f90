import { measure } from '../../../core/measures';
import type { Sums } from '../../../core/measures';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { OverviewParts } from '../../../plans/field';

const acos = (sums: Sums) => formatShare(measure('acos').of(sums));
const signed = (micros: number) =>
  `${micros > 0 ? '+' : micros < 0 ? '−' : ''}${formatMoney(Math.abs(micros))}`;

/** Automatic targets against those chosen by hand. */
export function AutoAgainstManual({ parts, currency }: { parts: OverviewParts; currency: string }) {
  const rows = [
    ['Automatic', parts.auto],
    ['By hand', parts.manual],
    ['All', parts],
  ] as const;
  return (
    <section aria-label="Automatic against by hand">
      <h2 className="serif part">Automatic against by hand</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>Targets</th>
            <th className="figure">Spend {currency}</th>
            <th className="figure">Sales {currency}</th>
            <th className="figure">ACOS</th>
            <th className="figure">before</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, { now, before }]) => (
            <tr key={label}>
              <td>{label}</td>
              <td className="figure">{formatMoney(now.spend)}</td>
              <td className="figure">{formatMoney(now.sales)}</td>
              <td className="figure">{acos(now)}</td>
              <td className="figure faint">{acos(before)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const STANDING_ROWS = {
  earning: ['●', 'under', 'Earning'],
  near: ['◐', '', 'Near the target'],
  losing: ['▲', 'over', 'Losing'],
  early: ['○', 'faint', 'Too early to say'],
} as const;

/** Targets by how they stand, with their money; each a way into the field. */
export function Standings({
  parts,
  currency,
  fieldLink,
}: {
  parts: OverviewParts;
  currency: string;
  fieldLink: (query: string) => string;
}) {
  return (
    <section aria-label="How targets stand">
      <h2 className="serif part">How targets stand</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>By evidence</th>
            <th className="figure">Targets</th>
            <th className="figure">Spend {currency}</th>
            <th className="figure">Sales {currency}</th>
            <th className="figure" title="Target ACOS × sales − spend">
              Gain or loss
            </th>
          </tr>
        </thead>
        <tbody>
          {parts.standings.map(({ standing, count, spend, sales, loss }) => {
            const [sign, className, label] = STANDING_ROWS[standing];
            return (
              <tr key={standing}>
                <td>
                  <span className={className}>{sign}</span>{' '}
                  <a href={fieldLink(`lens=keywords&where=${encodeURIComponent(`standing=${standing}`)}`)}>
                    {label}
                  </a>
                </td>
                <td className="figure">{formatCount(count)}</td>
                <td className="figure">{formatMoney(spend)}</td>
                <td className="figure">{formatMoney(sales)}</td>
                <td className={`figure ${loss > 0 ? 'over' : 'under'}`}>{signed(-loss)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** The few campaigns that explain most of a change. */
export function Movers({
  parts,
  of,
  currency,
  fieldLink,
}: {
  parts: OverviewParts;
  of: 'spend' | 'sales';
  currency: string;
  fieldLink: (query: string) => string;
}) {
  const movers = parts.movers[of];
  const { share, others } = parts.explained[of];
  const label = of === 'spend' ? 'Spend' : 'Ad sales';
  return (
    <section aria-label={`What moved ${label.toLowerCase()}`}>
      <h2 className="serif part">{label}: what changed most</h2>
      {movers.length === 0 ? (
        <p className="faint">Nothing moved.</p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th>Campaign</th>
              <th className="figure">before</th>
              <th className="figure">now {currency}</th>
              <th className="figure">±</th>
            </tr>
          </thead>
          <tbody>
            {movers.map(({ id, name, now, before, move }) => (
              <tr key={id}>
                <td className="cut" style={{ maxWidth: 120 }} title={name}>
                  <a href={fieldLink(`lens=ad-groups&in=campaign:${id}`)}>{name}</a>
                </td>
                <td className="figure faint">{formatMoney(before)}</td>
                <td className="figure">{formatMoney(now)}</td>
                <td className="figure">{signed(move)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {share !== null && (
        <p className="faint" style={{ margin: '4px 0 0', fontSize: 12 }}>
          These make {formatShare(share, 0)} of all movement, up and down; {formatCount(others)} others the
          rest.
        </p>
      )}
    </section>
  );
}
