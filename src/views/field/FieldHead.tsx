import Button from '@mui/material/Button';
import { useState } from 'react';
import type { RefObject } from 'react';
import { measure } from '../../core/measures';
import type { Sums } from '../../core/measures';
import { formatCount, formatDay, formatMoney, formatShare } from '../../core/units';
import type { AccountInfo, TargetSumsAnswer } from '../../contract/api';
import type { BidSteps } from './bidSteps';
import { signed } from './columns';
import { WINDOW_CHOICES } from './useFieldState';
import type { FieldState } from './useFieldState';

interface FieldHeadProps {
  account: AccountInfo | undefined;
  data: TargetSumsAnswer | undefined;
  state: FieldState;
  searchRef: RefObject<HTMLInputElement | null>;
  total: { sums: Sums; spendBefore: number };
  count: number;
  selected: number;
  limitsOf: (by: number) => BidSteps | null;
  onMove: (by: number) => void;
}

/** Above the rows: the window, the search, totals of what is shown, and what can be done with the selection. */
export function FieldHead(props: FieldHeadProps) {
  const { account, data, state, searchRef, total, count, selected } = props;
  const { sums, spendBefore } = total;
  return (
    <div style={{ padding: '12px 16px 8px', borderBottom: '1px solid var(--hairline)' }}>
      <h1 className="serif" style={{ margin: 0, fontSize: 18, fontWeight: 500 }}>
        {count === 1 ? '1 target' : `${formatCount(count)} targets`} spent {formatMoney(sums.spend)}{' '}
        {account?.currency} for {formatMoney(sums.sales)} {account?.currency} of sales.
      </h1>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: '6px 14px', alignItems: 'center', marginTop: 8 }}>
        <input
          ref={searchRef}
          type="search"
          aria-label="Search targets"
          placeholder="Search (/)"
          value={state.search}
          style={{ width: 190 }}
          onChange={(event) => state.setSearch(event.target.value)}
          onKeyDown={(event) => ['Escape', 'Enter'].includes(event.key) && event.currentTarget.blur()}
        />
        <label className="faint">
          <select
            aria-label="Days"
            value={state.days}
            onChange={(event) => state.setDays(Number(event.target.value))}
          >
            {WINDOW_CHOICES.map((days) => (
              <option key={days} value={days}>
                {days} days
              </option>
            ))}
          </select>
        </label>
        <label className="faint">
          <input
            type="checkbox"
            checked={state.unsettled === 'as-is'}
            onChange={(event) => state.setUnsettled(event.target.checked ? 'as-is' : 'left-out')}
          />{' '}
          with unsettled days
        </label>
        {data && (
          <span className="faint">
            {formatDay(data.window.from)} – {formatDay(data.window.to)}
            {data.window.unsettled.length > 0 && `, ${data.window.unsettled.length} unsettled days left out`};
            before: {formatDay(data.before.from)} – {formatDay(data.before.to)}
          </span>
        )}
      </div>
      <div
        style={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: '6px 14px',
          alignItems: 'center',
          marginTop: 8,
          minHeight: 30,
        }}
      >
        <span className="faint" aria-label="Totals of the rows shown">
          clicks <b>{formatCount(sums.clicks)}</b> · CPC <b>{formatMoney(measure('cpc').of(sums))}</b> · spend{' '}
          <b>{formatMoney(sums.spend)}</b> ({signed(sums.spend - spendBefore)}) · orders{' '}
          <b>{formatCount(sums.orders)}</b> · ACOS <b>{formatShare(measure('acos').of(sums))}</b>
        </span>
        <span style={{ flex: 1 }} />
        <MoveBids {...props} selected={selected} />
      </div>
    </div>
  );
}

function MoveBids({ selected, limitsOf, onMove }: FieldHeadProps) {
  const [text, setText] = useState('-15');
  const by = Number(text.replace(',', '.')) / 100;
  const isGood = Number.isFinite(by) && by !== 0 && by > -1 && by <= 9;
  const steps = isGood && selected > 0 ? limitsOf(by) : null;
  return (
    <form
      aria-label="Move bids"
      style={{ display: 'flex', gap: 8, alignItems: 'center' }}
      onSubmit={(event) => {
        event.preventDefault();
        if (isGood) onMove(by);
      }}
    >
      {steps && steps.atLimit + steps.left > 0 && (
        <span className="faint">
          {steps.atLimit > 0 && `${steps.atLimit} end at the market’s limit. `}
          {steps.left > 0 && `${steps.left} stay as they are.`}
        </span>
      )}
      <span className="faint">{selected > 0 ? `${formatCount(selected)} selected` : 'the focused row'}</span>
      <label>
        Bids by{' '}
        <input
          className="figure"
          inputMode="decimal"
          aria-label="Bids by per cent"
          size={5}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />{' '}
        %
      </label>
      <Button type="submit" variant="contained" disabled={!isGood}>
        {by < 0 ? 'Lower' : 'Raise'}
      </Button>
    </form>
  );
}
