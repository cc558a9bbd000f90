import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { measure } from '../../../core/measures';
import type { Sums } from '../../../core/measures';
import { DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { MoverLevel, OverviewParts } from '../../../plans/field';
import { Facts, PlaceLink } from '../../shared/kit';

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
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell>Targets</TableCell>
            <TableCell className="figure">Spend {currency}</TableCell>
            <TableCell className="figure">Sales {currency}</TableCell>
            <TableCell className="figure">ACOS</TableCell>
            <TableCell className="figure">before</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(([label, { now, before }]) => (
            <TableRow key={label}>
              <TableCell>{label}</TableCell>
              <TableCell className="figure">{formatMoney(now.spend)}</TableCell>
              <TableCell className="figure">{formatMoney(now.sales)}</TableCell>
              <TableCell className="figure">{acos(now)}</TableCell>
              <TableCell className="figure faint">{parts.isBeforeCovered ? acos(before) : DASH}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
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
      <Facts>
        <TableHead>
          <TableRow>
            <TableCell>By evidence</TableCell>
            <TableCell className="figure">Targets</TableCell>
            <TableCell className="figure">Spend {currency}</TableCell>
            <TableCell className="figure">Sales {currency}</TableCell>
            <TableCell className="figure" title="Target ACOS × sales − spend">
              Gain or loss {currency}
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {parts.standings.map(({ standing, count, spend, sales, loss }) => {
            const [sign, className, label] = STANDING_ROWS[standing];
            return (
              <TableRow key={standing}>
                <TableCell>
                  <span className={className}>{sign}</span>{' '}
                  <PlaceLink
                    href={fieldLink(`lens=targets&where=${encodeURIComponent(`standing=${standing}`)}`)}
                  >
                    {label}
                  </PlaceLink>
                </TableCell>
                <TableCell className="figure">{formatCount(count)}</TableCell>
                <TableCell className="figure">{formatMoney(spend)}</TableCell>
                <TableCell className="figure">{formatMoney(sales)}</TableCell>
                <TableCell className={`figure ${loss > 0 ? 'over' : 'under'}`}>{signed(-loss)}</TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Facts>
    </section>
  );
}

/** What a change is told by, in words, and where one of them is looked at. */
const LEVELS: Record<MoverLevel, { word: string; query: (id: number) => string }> = {
  campaign: { word: 'Campaign', query: (id) => `lens=ad-groups&in=campaign:${id}` },
  product: { word: 'Product', query: (id) => `lens=campaigns&in=product:${id}` },
  line: { word: 'Line', query: (id) => `lens=products&in=line:${id}` },
};

/** The few campaigns that explain most of a change; products or lines where no few campaigns do. */
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
  const { level, movers, explained, others } = parts.moved[of];
  const { word, query } = LEVELS[level];
  const label = of === 'spend' ? 'Spend' : 'Ad sales';
  return (
    <section aria-label={`What moved ${label.toLowerCase()}`}>
      <h2 className="serif part">{label}: what changed most</h2>
      {movers.length === 0 ? (
        <p className="faint">
          {parts.isBeforeCovered ? 'Nothing moved.' : 'The data do not cover the window before.'}
        </p>
      ) : (
        <Facts>
          <TableHead>
            <TableRow>
              <TableCell>{word}</TableCell>
              <TableCell className="figure">before</TableCell>
              <TableCell className="figure">now {currency}</TableCell>
              <TableCell className="figure">±</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {movers.map(({ id, name, now, before, move }) => (
              <TableRow key={id}>
                <TableCell className="cut" sx={{ maxWidth: 120 }} title={name}>
                  <PlaceLink href={fieldLink(query(id))}>{name}</PlaceLink>
                </TableCell>
                <TableCell className="figure faint">{formatMoney(before)}</TableCell>
                <TableCell className="figure">{formatMoney(now)}</TableCell>
                <TableCell className="figure">{signed(move)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      {explained !== null && (
        <p className="note">
          These make {formatShare(explained, 0)} of all movement, up and down; {formatCount(others)} others
          the rest.
        </p>
      )}
    </section>
  );
}
