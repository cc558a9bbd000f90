import { useQuery } from '@tanstack/react-query';
import { CHANGE_PURPOSES } from '../../../core/changes';
import { formatCount, formatDay } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../../shared/api';
import { signed } from '../../shared/tray/money';
import { howMeasured, VERDICTS } from './effectWords';
import { MovedCell } from './MovedCell';
import { ProfitCell } from './ProfitCell';

/** Which sorts of changes did what they were to do, over all bales. */
export function WhatWorked({ account }: { account: AccountInfo }) {
  const { data, error } = useQuery({
    queryKey: ['sort-effects', account.id, account.lastDay],
    queryFn: () => api.purposeEffects(account.id),
  });
  return (
    <>
      <h2 className="serif" style={{ margin: '0 0 4px', fontSize: 18, fontWeight: 500 }}>
        Which changes worked
      </h2>
      <p className="faint" style={{ margin: '0 0 12px', maxWidth: 760 }}>
        The days after each change against the same weekdays before it, over what untouched targets of like
        kind, size and standing did on them. Ranges hold four times in five; where one leaves the middle line,
        the change is sure. {data && `Orders are in through ${formatDay(data.settledThrough)}.`}
      </p>
      {error && (
        <p role="alert" className="over">
          {error.message}
        </p>
      )}
      {!data && !error && <p className="faint">Measuring …</p>}
      {data?.purposes.length === 0 && (
        <p className="faint">
          No change was accepted yet. Some twelve days after the first bale its effect can be measured here.
        </p>
      )}
      {data && data.purposes.length > 0 && (
        <table className="plain" aria-label="Effects by sort of change">
          <thead>
            <tr>
              <th>Changes</th>
              <th className="figure">Number</th>
              <th className="figure">Spend</th>
              <th className="figure">Sales</th>
              <th className="figure">ACOS</th>
              <th className="figure">Profit {account.currency}/mo</th>
              <th>Verdict</th>
            </tr>
          </thead>
          <tbody>
            {data.purposes.map(({ purpose, changes, mixed, expected, effect }) => (
              <tr key={purpose}>
                <td style={{ maxWidth: 320 }}>
                  <strong>{CHANGE_PURPOSES[purpose]}</strong>
                  <div className="faint" style={{ fontSize: 12.5 }}>
                    {howMeasured(effect)}
                    {mixed > 0 &&
                      ` ${formatCount(mixed)} left out: other sorts of changes were made on them the same day.`}
                  </div>
                </td>
                <td className="figure">{formatCount(changes)}</td>
                <td className="figure">
                  <MovedCell moved={effect.spend} isMoreGood={false} name="Spend" />
                </td>
                <td className="figure">
                  <MovedCell moved={effect.sales} isMoreGood name="Sales" />
                </td>
                <td className="figure">
                  <MovedCell moved={effect.acos} isMoreGood={false} name="ACOS" />
                </td>
                <td className="figure">
                  <ProfitCell profit={effect.profit} />
                </td>
                <td
                  className={
                    effect.verdict === 'against' ? 'over' : effect.verdict === 'as wanted' ? 'under' : 'faint'
                  }
                >
                  {effect.measured + effect.waiting === 0 && effect.verdict === 'too early'
                    ? 'not told apart'
                    : VERDICTS[effect.verdict]}
                  {(expected.spend !== 0 || expected.sales !== 0) && (
                    <div className="faint" style={{ fontSize: 12 }}>
                      expected: spend {signed(expected.spend)}, sales {signed(expected.sales)}
                    </div>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
