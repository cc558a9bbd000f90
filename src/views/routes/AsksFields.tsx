import { USUAL_ASKS } from '../../core/routes';
import type { RouteAsks } from '../../core/routes';
import { MICROS_PER_UNIT } from '../../core/units';
import { NumberField } from '../shared/NumberField';
import { Choice } from '../shared/Choice';

interface AsksFieldsProps {
  asks: RouteAsks | null;
  currency: string;
  onAsks: (asks: RouteAsks | null) => void;
}

/** A threshold: what it is called, and how many inner units one shown unit is. */
interface Threshold {
  key: Exclude<keyof RouteAsks, 'orders'>;
  label: string;
  scale: number;
  step: number;
}

/** What a term has to show before the route takes it: what the step asks of all, or thresholds of its own. */
export function AsksFields({ asks, currency, onAsks }: AsksFieldsProps) {
  const thresholds: Threshold[] = [
    { key: 'clicks', label: 'clicks', scale: 1, step: 1 },
    { key: 'clicksMultiple', label: '× clicks an order takes', scale: 1, step: 0.5 },
    { key: 'spend', label: `${currency} spent`, scale: MICROS_PER_UNIT, step: 1 },
    { key: 'days', label: 'days with a click', scale: 1, step: 1 },
    { key: 'acos', label: '% ACOS at most', scale: 0.01, step: 1 },
    { key: 'surety', label: '% sure of that', scale: 0.01, step: 5 },
  ];
  return (
    <div
      className="bar"
      style={{ flexWrap: 'wrap', gap: '8px 14px' }}
      role="group"
      aria-label="Asked of a term"
    >
      <Choice
        label="when it shows"
        value={asks ? 'own' : 'step'}
        onChange={(choice) => onAsks(choice === 'own' ? USUAL_ASKS : null)}
      >
        {[
          ['step', 'what the harvest step asks'],
          ['own', 'at least …'],
        ]}
      </Choice>
      {asks && (
        <>
          <NumberField
            label="orders"
            value={asks.orders}
            min={1}
            step={1}
            width={36}
            onChange={(orders) => onAsks({ ...asks, orders: Math.round(orders) })}
          />
          {thresholds.map(({ key, label, scale, step }) => {
            const value = asks[key];
            return (
              <NumberField
                key={key}
                label={label}
                value={value === null ? null : value / scale}
                min={key === 'surety' || key === 'acos' ? 1 : 0.1}
                step={step}
                width={42}
                onChange={(shown) =>
                  onAsks({ ...asks, [key]: key === 'surety' ? Math.min(0.99, shown * scale) : shown * scale })
                }
                onNone={() => onAsks({ ...asks, [key]: null })}
              />
            );
          })}
        </>
      )}
    </div>
  );
}
