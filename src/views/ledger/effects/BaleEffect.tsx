import Box from '@mui/material/Box';
import { formatMoney } from '../../../core/units';
import type { BaleEffects } from '../../../contract/effects';
import { signed } from '../../shared/tray/money';
import { howMeasured, VERDICTS } from './effectWords';
import { movedCells } from './MovedCells';
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
            {movedCells(bale).map(({ key, name, cell }) => (
              <Figure key={key} name={key === 'acos' ? name : `${name} ${currency}`}>
                {cell}
              </Figure>
            ))}
            {bale.profit && (
              <Figure name={`Profit, ${currency} a month`}>
                <ProfitCell effect={bale} />
              </Figure>
            )}
          </>
        )}
      </Box>
      <p className="note">
        {howMeasured(bale)}
        {says &&
          bale.measured === 0 &&
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
