import Button from '@mui/material/Button';
import { checkChange, describeChange, setValueOf } from '../../../core/changes';
import type { MarketLimits, SetValue } from '../../../core/changes';
import { formatMoney, formatShare, MICROS_PER_UNIT, toMicros } from '../../../core/units';
import type { ChangeInfo } from '../../../contract/changes';
import { signed } from './money';
import type { TrayState } from './useTray';

/** One staged change: what, where, before and after, what is expected, why. */
export function TrayRow({ one, tray, limits }: { one: ChangeInfo; tray: TrayState; limits: MarketLimits }) {
  const findings = checkChange(one.change, limits);
  const subject = one.subject ? ` “${one.subject}”` : '';
  const value = setValueOf(one.change);
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
      <td>
        {one.campaign} › {one.adGroup ?? 'whole campaign'}
      </td>
      <td className="figure faint">{value?.from == null ? '' : show(value.from, value.unit)}</td>
      <td className="figure">{value && <ValueField id={one.id} value={value} tray={tray} />}</td>
      <td className="figure">{one.effect.spend === 0 ? '' : signed(one.effect.spend)}</td>
      <td className="figure">{one.effect.sales === 0 ? '' : signed(one.effect.sales)}</td>
      <td className="faint">
        <span className="twoLines" title={one.reason}>
          {one.reason}
        </span>
      </td>
      <td className="figure">
        <Button
          sx={{ padding: 0 }}
          onClick={() => tray.withdraw.mutate([one.id])}
          aria-label={`Take out: ${describeChange(one.change)}`}
        >
          Take out
        </Button>
      </td>
    </tr>
  );
}

const show = (value: number, unit: SetValue['unit']) =>
  unit === 'money' ? formatMoney(value) : formatShare(value, 0);

function ValueField({ id, value, tray }: { id: number; value: SetValue; tray: TrayState }) {
  const isMoney = value.unit === 'money';
  const scale = isMoney ? MICROS_PER_UNIT : 0.01;
  const shown = isMoney ? (value.to / scale).toFixed(2) : String(Math.round(value.to / scale));
  return (
    <input
      key={value.to}
      className="figure"
      type="number"
      step={isMoney ? '0.01' : '1'}
      min="0"
      aria-label={isMoney ? 'Value' : 'Value in per cent'}
      defaultValue={shown}
      style={{
        width: 72,
        font: 'inherit',
        color: 'inherit',
        background: 'transparent',
        border: '1px solid var(--hairline)',
      }}
      onBlur={(event) => {
        const typed = Number(event.target.value);
        const next = isMoney ? toMicros(typed) : typed / 100;
        if (event.target.value !== '' && Number.isFinite(next) && next !== value.to)
          tray.setValues.mutate([{ id, value: next }]);
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
