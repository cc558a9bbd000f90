import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import { checkChange, describeChange, setValueOf } from '../../../core/changes';
import type { MarketLimits, SetValue } from '../../../core/changes';
import { formatMoney, formatShare } from '../../../core/units';
import { NOBODY } from '../../../contract/people';
import type { ChangeInfo } from '../../../contract/changes';
import { useMe } from '../people/useMe';
import { signed } from './money';
import { MoneyField, ShareField } from '../kit';
import type { TrayState } from './useTray';

interface TrayRowProps {
  one: ChangeInfo;
  tray: TrayState;
  limits: MarketLimits;
  currency: string;
}

/** One staged change: what, where, before and after, what is expected, why. */
export function TrayRow({ one, tray, limits, currency }: TrayRowProps) {
  const findings = checkChange(one.change, limits);
  const me = useMe()?.name ?? NOBODY;
  const subject = one.subject ? ` “${one.subject}”` : '';
  const value = setValueOf(one.change);
  const first =
    one.afterId === null
      ? undefined
      : [...tray.changes, ...tray.sending].find(({ id }) => id === one.afterId);
  const isHeldUp = first?.state === 'sending';
  const waitsFor = first
    ? `Waits for “${describeChange(first.change)}”, which ${isHeldUp ? 'was sent and has no answer yet' : 'has to be accepted first'}.`
    : 'Sent once the change it belongs to was accepted.';
  return (
    <TableRow>
      <TableCell>
        {one.afterId !== null && (
          <span className="faint" title={waitsFor}>
            ↳{' '}
          </span>
        )}
        {describeChange(one.change)}
        {subject}
        {one.by !== me && <div className="faint">by {one.by}</div>}
        {isHeldUp && <div className="faint">{waitsFor}</div>}
        {findings.map(({ code, sentence }) => (
          <div key={code} className="over">
            ▲ {sentence} The market will refuse it.
          </div>
        ))}
      </TableCell>
      <TableCell>
        {one.campaign} › {one.adGroup ?? 'whole campaign'}
      </TableCell>
      <TableCell className="figure faint">
        {value?.from == null ? '' : show(value.from, value.unit)}
      </TableCell>
      <TableCell className="figure">
        {value && <ValueField id={one.id} value={value} tray={tray} currency={currency} limits={limits} />}
      </TableCell>
      <TableCell className="figure">{one.effect.spend === 0 ? '' : signed(one.effect.spend)}</TableCell>
      <TableCell className="figure">{one.effect.sales === 0 ? '' : signed(one.effect.sales)}</TableCell>
      <TableCell className="faint">
        <span className="twoLines" title={one.reason}>
          {one.reason}
        </span>
      </TableCell>
      <TableCell className="figure">
        <Button
          data-may="decide"
          sx={{ padding: 0 }}
          onClick={() => tray.withdraw.mutate([one.id])}
          aria-label={`Take out: ${describeChange(one.change)}`}
        >
          Take out
        </Button>
      </TableCell>
    </TableRow>
  );
}

const show = (value: number, unit: SetValue['unit']) =>
  unit === 'money' ? formatMoney(value) : formatShare(value, 0);

function ValueField({ id, value, tray, currency, limits }: ValueFieldProps) {
  const set = (next: number) => tray.setValues.mutate([{ id, value: next }]);
  const common = { label: 'Value', isLabelled: false, width: 92 };
  return value.unit === 'money' ? (
    <MoneyField {...common} micros={value.to} currency={currency} step={limits.bidStep} onMicros={set} />
  ) : (
    <ShareField {...common} share={value.to} onShare={set} />
  );
}

interface ValueFieldProps {
  id: number;
  value: SetValue;
  tray: TrayState;
  currency: string;
  limits: MarketLimits;
}
