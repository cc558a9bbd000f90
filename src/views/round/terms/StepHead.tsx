import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { measure } from '../../../core/measures';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { StepName } from '../../../contract/review';
import { STEPS } from '../useRoundState';
import type { RoundState } from '../useRoundState';
import { Thresholds } from './Thresholds';
import type { Arranged, Show, StepSummary } from '../../../plans/terms';

interface StepHeadProps {
  state: RoundState;
  step: StepName;
  arranged: Arranged | null;
  total: number;
  asideCount: number;
  currency: string;
  /** Rows that an accept would take: the selected ones, or all. */
  selected: number;
  onAcceptAll: () => void;
}

/** What the step comes to in one sentence, its thresholds, and which rows are shown. */
export function StepHead({
  state,
  step,
  arranged,
  total,
  asideCount,
  currency,
  selected,
  onAcceptAll,
}: StepHeadProps) {
  const { show } = state;
  const summary = arranged?.steps.find((one) => one.step === step);
  return (
    <div style={{ padding: '10px 16px 6px' }}>
      <p className="serif" style={{ margin: '0 0 6px', fontSize: 17 }}>
        {summary ? sentence(step, summary, currency) : 'Reading the search terms …'}
      </p>
      <div style={{ display: 'flex', alignItems: 'center', gap: '6px 8px', flexWrap: 'wrap' }}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={show}
          onChange={(_, next: Show | null) => next && state.setShow(next)}
          aria-label="Rows shown"
        >
          <ToggleButton value="proposed" sx={TOGGLE}>
            Proposed {formatCount(summary?.left ?? 0)}
          </ToggleButton>
          <ToggleButton value="all" sx={TOGGLE}>
            All terms {formatCount(total)}
          </ToggleButton>
          <ToggleButton value="aside" sx={TOGGLE}>
            Put aside {formatCount(asideCount)}
          </ToggleButton>
        </ToggleButtonGroup>
        <Thresholds state={state} step={step} currency={currency} />
        <span style={{ flex: 1 }} />
        {arranged && arranged.rows.length > 0 && show === 'proposed' && (
          <Button variant="outlined" onClick={onAcceptAll}>
            Accept{' '}
            {selected > 0
              ? `the ${formatCount(selected)} selected`
              : `all ${formatCount(arranged.rows.length)}`}
          </Button>
        )}
      </div>
      {arranged && <Totals arranged={arranged} currency={currency} />}
    </div>
  );
}

const TOGGLE = { padding: '1px 6px', fontSize: 12.5, textTransform: 'none' } as const;

function sentence(step: string, { left, money, profit }: StepSummary, currency: string): string {
  if (left === 0)
    return `${STEPS.find(({ name }) => name === step)!.label}: nothing left to decide at these thresholds.`;
  const terms = left === 1 ? 'One search term' : `${formatCount(left)} search terms`;
  if (step === 'negatives') return `${terms} took ${formatMoney(money)} ${currency} and will hardly pay.`;
  const [have, own] = left === 1 ? ['has', 'its'] : ['have', 'their'];
  return profit > 0
    ? `${left === 1 ? 'One term' : `${formatCount(left)} terms`} ${have} no keyword of ${own} own; +${formatMoney(profit)} ${currency} profit a month expected.`
    : `${terms} sold for ${formatMoney(money)} ${currency} and ${have} no keyword of ${own} own.`;
}

/** Totals of what is shown; ratios from the sums. */
function Totals({ arranged, currency }: { arranged: Arranged; currency: string }) {
  const { totals, rows } = arranged;
  const figures: [string, string][] = [
    ['clicks', formatCount(totals.clicks)],
    ['orders', formatCount(totals.orders)],
    [`spend ${currency}`, formatMoney(totals.spend)],
    [`sales ${currency}`, formatMoney(totals.sales)],
    ['ACOS', formatShare(measure('acos').of(totals))],
    ['conversion', formatShare(measure('cvr').of(totals))],
    ['CPC', formatMoney(measure('cpc').of(totals))],
  ];
  return (
    <p className="faint" style={{ margin: '6px 0 0', fontSize: 12.5 }} aria-label="Totals of the rows shown">
      {formatCount(rows.length)} {rows.length === 1 ? 'row' : 'rows'}:{' '}
      {figures.map(([label, value]) => (
        <span key={label} style={{ marginRight: 12, whiteSpace: 'nowrap' }}>
          {label} <span style={{ color: 'var(--ink)' }}>{value}</span>
        </span>
      ))}
    </p>
  );
}
