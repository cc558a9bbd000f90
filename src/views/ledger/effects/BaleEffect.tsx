import { formatMoney } from '../../../core/units';
import type { BaleEffects } from '../../../contract/effects';
import { signed } from '../../shared/tray/money';
import { howMeasured, VERDICTS } from './effectWords';
import { MovedCell } from './MovedCell';
import { ProfitCell } from './ProfitCell';

interface BaleEffectProps {
  effects: BaleEffects;
  /** Micros a month. */
  expected: { spend: number; sales: number };
  currency: string;
}

/** What a bale did, measured against targets that were left alone. */
export function BaleEffect({ effects, expected, currency }: BaleEffectProps) {
  const { bale } = effects;
  const says = expected.spend !== 0 || expected.sales !== 0;
  return (
    <section
      aria-label="Measured effect"
      style={{
        border: '1px solid var(--hairline)',
        borderRadius: 3,
        padding: '8px 12px',
        margin: '0 0 12px',
      }}
    >
      <div className="bar" style={{ gap: 20, alignItems: 'flex-start', flexWrap: 'wrap' }}>
        <div style={{ minWidth: 150 }}>
          <div className="faint">What it did</div>
          <strong
            className={bale.verdict === 'against' ? 'over' : bale.verdict === 'as wanted' ? 'under' : ''}
          >
            {VERDICTS[bale.verdict]}
          </strong>
        </div>
        {bale.measured > 0 && (
          <>
            <Figure name="Spend">
              <MovedCell moved={bale.spend} isMoreGood={false} name="Spend" />
            </Figure>
            <Figure name="Sales">
              <MovedCell moved={bale.sales} isMoreGood name="Sales" />
            </Figure>
            <Figure name="ACOS">
              <MovedCell moved={bale.acos} isMoreGood={false} name="ACOS" />
            </Figure>
            {bale.profit && (
              <Figure name={`Profit, ${currency} a month`}>
                <ProfitCell profit={bale.profit} />
              </Figure>
            )}
          </>
        )}
      </div>
      <p className="faint" style={{ margin: '4px 0 0' }}>
        {howMeasured(bale)}
        {says &&
          ` Expected were spend ${signed(expected.spend)} and sales ${signed(expected.sales)} ${currency} a month.`}
        {bale.verdict === 'new' &&
          ` Since then ${formatMoney(bale.since.spend)} spend and ${formatMoney(bale.since.sales)} sales a month.`}
      </p>
    </section>
  );
}

function Figure({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <div className="faint">{name}</div>
      {children}
    </div>
  );
}
