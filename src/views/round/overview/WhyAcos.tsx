import { ACOS_CAUSES, causesInTenths } from '../../../core/measures';
import type { AcosCause, AcosChange } from '../../../core/measures';
import { formatShare } from '../../../core/units';

const CAUSES: Record<AcosCause, { words: string; does: string }> = {
  cpc: { words: 'price per click', does: 'Clicks cost more or less, campaign by campaign.' },
  conversion: { words: 'conversion', does: 'Clicks sold more or less often, campaign by campaign.' },
  orderValue: { words: 'order value', does: 'Orders were larger or smaller, campaign by campaign.' },
  mix: { words: 'mix of campaigns', does: 'Sales moved between campaigns of another ACOS.' },
  once: {
    words: 'campaigns that sold in one period alone',
    does: 'New, ended, or without a sale in one of the two.',
  },
};

/** What moved the ACOS against the period before: points that add up, the largest first. */
export function WhyAcos({ change }: { change: AcosChange | null }) {
  if (change === null) return null;
  const { total, causes } = causesInTenths(change);
  const told = ACOS_CAUSES.filter((key) => causes[key] !== 0).sort(
    (a, b) => Math.abs(causes[b]) - Math.abs(causes[a]),
  );
  if (told.length === 0) return null;
  return (
    <section aria-label="Why the ACOS moved">
      <p className="note">
        ACOS {formatShare(change.before)} → {formatShare(change.now)}, {points(total)}:{' '}
        {told.map((key, at) => (
          <span key={key} title={CAUSES[key].does}>
            {at > 0 && ', '}
            {CAUSES[key].words}{' '}
            <span className={causes[key] > 0 ? 'over' : 'under'}>{points(causes[key])}</span>
          </span>
        ))}
        .
      </p>
    </section>
  );
}

const points = (share: number): string =>
  share === 0 ? 'unchanged' : `${share > 0 ? '+' : '−'}${(Math.abs(share) * 100).toFixed(1)} points`;
