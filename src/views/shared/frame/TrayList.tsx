import Button from '@mui/material/Button';
import { group } from 'd3-array';
import { checkChange, describeChange } from '../../../core/changes';
import { formatMoney, MICROS_PER_UNIT, toMicros } from '../../../core/units';
import type { MarketLimits } from '../../../core/changes';
import type { ChangeInfo } from '../../../contract/api';
import type { TrayState } from '../useTray';

/** The staged changes by campaign, each with its reason and what the market is going to say against it. */
export function TrayList({
  tray,
  limits,
  currency,
}: {
  tray: TrayState;
  limits: MarketLimits;
  currency: string;
}) {
  if (tray.changes.length === 0)
    return <p style={{ padding: '0 16px 12px' }}>Accept a proposal, and it waits here until you send.</p>;
  const campaigns = group(tray.changes, (one) => one.campaign);
  return (
    <div style={{ maxHeight: '46vh', overflow: 'auto', padding: '0 16px 12px' }}>
      <table className="plain">
        <thead>
          <tr>
            <th>Change</th>
            <th>Ad group</th>
            <th className="figure">Bid {currency}</th>
            <th>Why</th>
            <th>
              <Button onClick={() => tray.withdraw.mutate(tray.changes.map(({ id }) => id))}>
                Take all out
              </Button>
            </th>
          </tr>
        </thead>
        {[...campaigns].map(([campaign, changes]) => (
          <tbody key={campaign}>
            <tr>
              <th colSpan={5} style={{ paddingTop: 10, color: 'var(--ink)', fontWeight: 650 }}>
                {campaign}
              </th>
            </tr>
            {changes.map((one) => (
              <TrayRow key={one.id} one={one} tray={tray} limits={limits} />
            ))}
          </tbody>
        ))}
      </table>
    </div>
  );
}

function TrayRow({ one, tray, limits }: { one: ChangeInfo; tray: TrayState; limits: MarketLimits }) {
  const findings = checkChange(one.change, limits);
  const subject = one.subject ? ` “${one.subject}”` : '';
  return (
    <tr>
      <td>
        {one.afterId !== null && (
          <span className="faint" title="Sent once the change above it was accepted">
            ↳{' '}
          </span>
        )}
        {describeChange(one.change)}
        {subject}
        {findings.map(({ code, sentence }) => (
          <div key={code} className="over">
            ▲ {sentence} The market will refuse it.
          </div>
        ))}
      </td>
      <td>{one.adGroup ?? 'whole campaign'}</td>
      <td className="figure">
        {'bid' in one.change ? <BidField id={one.id} bid={one.change.bid} tray={tray} /> : ''}
      </td>
      <td className="faint" style={{ maxWidth: 520 }}>
        {one.reason}
      </td>
      <td>
        <Button
          onClick={() => tray.withdraw.mutate([one.id])}
          aria-label={`Take out: ${describeChange(one.change)}`}
        >
          Take out
        </Button>
      </td>
    </tr>
  );
}

function BidField({ id, bid, tray }: { id: number; bid: number; tray: TrayState }) {
  return (
    <input
      key={bid}
      className="figure"
      type="number"
      step="0.01"
      min="0"
      aria-label="Bid"
      defaultValue={(bid / MICROS_PER_UNIT).toFixed(2)}
      title={`staged: ${formatMoney(bid)}`}
      style={{
        width: 72,
        font: 'inherit',
        color: 'inherit',
        background: 'transparent',
        border: '1px solid var(--hairline)',
      }}
      onBlur={(event) => {
        const next = toMicros(Number(event.target.value));
        if (next !== bid && Number.isFinite(next)) tray.setBid.mutate({ id, bid: next });
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
