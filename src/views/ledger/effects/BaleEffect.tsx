import Box from '@mui/material/Box';
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
    <section className="framed" aria-label="Measured effect">
      <Box className="bar" sx={{ gap: '20px', alignItems: 'flex-start', flexWrap: 'wrap' }}>
        <Box sx={{ minWidth: 150 }}>
          <div className="faint">What it did</div>
          <strong
            className={bale.verdict === 'against' ? 'over' : bale.verdict === 'as wanted' ? 'under' : ''}
          >
            {VERDICTS[bale.verdict]}
          </strong>
        </Box>
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
      </Box>
      <p className="note">
        {howMeasured(bale)}
        {says &&
          ` Expected: spend ${signed(expected.spend)} and sales ${signed(expected.sales)} ${currency} a month.`}
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
