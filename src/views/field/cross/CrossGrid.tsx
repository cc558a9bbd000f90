import ButtonBase from '@mui/material/ButtonBase';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import TableBody from '@mui/material/TableBody';
import TableHead from '@mui/material/TableHead';
import Button from '@mui/material/Button';
import { CHOICES, isChoiceKey, writeAnyOf } from '../../../core/conditions';
import type { Cell, CrossTab, Dimension, DimensionValue, LensScope } from '../../../core/lenses';
import type { Measure } from '../../../core/measures';
import { formatMoney } from '../../../core/units';
import type { Window } from '../../../core/windows';
import { formatIn } from '../../shared/formatValue';
import type { FieldState } from '../useFieldState';
import { shadeColour, shadeOf } from './shade';
import { Facts } from '../../shared/kit';

interface CrossGridProps {
  cross: CrossTab;
  measure: Measure;
  /** A second measure below it; null: none. */
  also: Measure | null;
  state: FieldState;
  currency: string;
}

/** More columns than this do not fit a mind; the rest is summed in the totals. */
const MOST_COLUMNS = 24;
const MOST_ROWS = 400;

/** The cells of a cross-tab; each is a way into the rows it was summed from. */
export function CrossGrid({ cross, measure, also, state, currency }: CrossGridProps) {
  const columns = cross.columns.slice(0, MOST_COLUMNS);
  const rows = cross.rows.slice(0, MOST_ROWS);
  const cut = [
    cross.rows.length > rows.length && `${cross.rows.length - rows.length} more down`,
    cross.columns.length > columns.length && `${cross.columns.length - columns.length} more across`,
  ].filter(Boolean);
  const drill = (down: DimensionValue | null, across: DimensionValue | null) => () =>
    state.drill(drillTo(state, down, across));
  const cell = (value: Cell | undefined, key: string, onOpen: () => void, isTotal = false) => (
    <CrossCell
      key={key}
      cell={value}
      measure={measure}
      also={also}
      total={cross.total}
      currency={currency}
      onOpen={onOpen}
      isTotal={isTotal}
    />
  );
  return (
    <div className="page" tabIndex={0} role="region" aria-label="Cross-tab">
      <Legend measure={measure} />
      <Facts className="cross" aria-label={`${measure.label} by ${state.down} and ${state.across}`}>
        <TableHead>
          <TableRow>
            <TableCell component="th" scope="col">
              {labelWith(measure, currency)}
              {also && <div className="faint small">{labelWith(also, currency)}</div>}
            </TableCell>
            <TableCell component="th" scope="col" className="figure">
              All
            </TableCell>
            {columns.map((one) => (
              <TableCell component="th" key={one.key} scope="col" className="figure" title={one.name}>
                <Button variant="link" onClick={drill(null, one)}>
                  {one.name}
                </Button>
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell component="th" scope="row">
              All
            </TableCell>
            {cell(cross.total, 'all', drill(null, null), true)}
            {columns.map((one) => cell(one.total, one.key, drill(null, one), true))}
          </TableRow>
          {rows.map((one, at) => (
            <TableRow key={one.key}>
              <TableCell component="th" scope="row" title={one.name}>
                <Button variant="link" onClick={drill(one, null)}>
                  {one.name}
                </Button>
              </TableCell>
              {cell(one.total, 'all', drill(one, null), true)}
              {columns.map((column, index) => cell(cross.cells[at][index], column.key, drill(one, column)))}
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      {cut.length > 0 && <p className="faint">{cut.join(', ')}; their sums are in the totals.</p>}
    </div>
  );
}

interface CrossCellProps {
  cell: Cell | undefined;
  measure: Measure;
  also: Measure | null;
  total: Cell;
  currency: string;
  onOpen: () => void;
  isTotal: boolean;
}

/** What the shades say. */
function Legend({ measure }: { measure: Measure }) {
  const isOfTarget = measure.key === 'acos' || measure.key === 'roas';
  if (measure.better === null || measure.unit === 'count' || ['spend', 'sales'].includes(measure.key))
    return null;
  const than = isOfTarget ? 'its target' : 'the whole';
  return (
    <p className="note">
      <span className="over">▲</span> worse than {than}, darkest from twice as bad on
      {isOfTarget && ' and where money was spent and nothing sold'}; <span className="under">●</span> better;
      without a sign within 10 % of it.
    </p>
  );
}

const labelWith = ({ label, unit }: Measure, currency: string) =>
  unit === 'money' ? `${label} ${currency}` : label;

function CrossCell({ cell, measure, also, total, currency, onOpen, isTotal }: CrossCellProps) {
  if (!cell || (cell.sums.impressions === 0 && cell.sums.clicks === 0))
    return <TableCell className="figure faint">·</TableCell>;
  const shade = shadeOf(cell, measure, total);
  const { sums } = cell;
  const words = `${sums.clicks} clicks, ${sums.orders} orders, spend ${formatMoney(sums.spend)}, sales ${formatMoney(sums.sales)} ${currency}`;
  const sign = shade === null || Math.abs(shade.amount) < 0.15 ? '' : shade.amount > 0 ? '▲' : '●';
  return (
    <TableCell
      className={isTotal ? 'figure total' : 'figure'}
      style={shade ? { background: shadeColour(shade) } : undefined}
    >
      <ButtonBase className="cell" onClick={onOpen} title={[words, shade?.words].filter(Boolean).join('; ')}>
        <span className={`sign ${shade && shade.amount > 0 ? 'over' : 'under'}`} aria-hidden>
          {sign}
        </span>{' '}
        {formatIn(measure.unit, measure.of(sums), measure.decimals)}
        {also && (
          <span className="faint small second">{formatIn(also.unit, also.of(sums), also.decimals)}</span>
        )}
        <span className="sr">{shade?.words}</span>
      </ButtonBase>
    </TableCell>
  );
}

const SCOPE_OF: Partial<Record<Dimension, LensScope['kind']>> = {
  campaign: 'campaign',
  'ad-group': 'ad-group',
  product: 'product',
  line: 'line',
};

/** The narrower of two scopes is the one to drill to; a choice becomes a condition. */
function drillTo(state: FieldState, down: DimensionValue | null, across: DimensionValue | null) {
  let { scope } = state;
  const where = state.stack.map(writeAnyOf);
  let days: Window | null = null;
  for (const [dimension, value] of [
    [state.down, down],
    [state.across, across],
  ] as const) {
    if (!value) continue;
    // Of a week and a month the days that lie in both.
    if (value.days) days = days ? overlapOf(days, value.days) : value.days;
    const kind = SCOPE_OF[dimension];
    if (kind) {
      if (value.id !== 0 && isNarrower(kind, scope)) scope = { kind, id: value.id };
    } else if (
      isChoiceKey(dimension) &&
      (CHOICES[dimension].values.includes(value.name) || value.name !== '–')
    )
      where.push(`${dimension}=${value.name}`);
  }
  return { lens: state.lens, scope, where, days };
}

const overlapOf = (a: Window, b: Window): Window => ({
  from: a.from > b.from ? a.from : b.from,
  to: a.to < b.to ? a.to : b.to,
});

const ORDER: LensScope['kind'][] = ['line', 'product', 'campaign', 'ad-group', 'target'];
const isNarrower = (kind: LensScope['kind'], scope: LensScope | null) =>
  scope === null || ORDER.indexOf(kind) >= ORDER.indexOf(scope.kind);
