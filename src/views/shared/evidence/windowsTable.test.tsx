import { screen, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { NO_SUMS } from '../../../core/measures';
import { addDays } from '../../../core/units';
import { WindowsTable } from './WindowsTable';

const TO = '2026-11-16';
/** 100 days, each with 2 clicks of 0.50 and, every tenth day, an order of 20. */
const DAYS = Array.from({ length: 100 }, (_, back) => ({
  ...NO_SUMS,
  day: addDays(TO, -back),
  clicks: 2,
  spend: 1_000_000,
  orders: back % 10 === 0 ? 1 : 0,
  units: back % 10 === 0 ? 1 : 0,
  sales: back % 10 === 0 ? 20_000_000 : 0,
}));

const line = (label: string) =>
  within(screen.getByText(label).closest('tr')!)
    .getAllByRole('cell')
    .slice(1)
    .map(({ textContent }) => textContent);

describe('windows side by side', () => {
  test('all end with the last settled day; ratios come from their sums', () => {
    draw(
      <WindowsTable days={DAYS} to={TO} currency="EUR" firstDay="2026-01-01" targetAcos={0.4} margin={0.5} />,
    );
    expect(line('Clicks')).toEqual(['14', '28', '60', '120', '180']);
    expect(line('Orders')).toEqual(['1', '2', '3', '6', '9']);
    expect(line('Spend EUR')).toEqual(['7.00', '14.00', '30.00', '60.00', '90.00']);
    expect(line('CPC EUR')).toEqual(['0.50', '0.50', '0.50', '0.50', '0.50']);
    // 7 / 20, 14 / 40, 30 / 60 …
    expect(line('ACOS')).toEqual(['35.0 %', '35.0 %', '50.0 %', '50.0 %', '50.0 %']);
    // 7 − 40 % of 20, 30 − 40 % of 60; half of the sales is left before ads.
    expect(line('Loss vs target')).toEqual(['−1.00', '−2.00', '6.00', '12.00', '18.00']);
    expect(line('Profit EUR')).toEqual(['3.00', '6.00', '0.00', '0.00', '0.00']);
  });

  test('later days do not count, and a ratio without a denominator is a dash', () => {
    draw(
      <WindowsTable
        days={DAYS}
        to={addDays(TO, -95)}
        currency="EUR"
        firstDay={null}
        targetAcos={null}
        margin={null}
      />,
    );
    expect(line('Clicks')).toEqual(['10', '10', '10', '10', '10']);
    expect(line('ACOS')).toEqual(['–', '–', '–', '–', '–']);
    // No target and no costs: nothing is said of loss or profit.
    expect(screen.queryByText(/Loss vs target|Profit/)).toBeNull();
  });

  test('large figures are read without their last digits, so that five stand side by side', () => {
    const many = DAYS.map((one) => ({ ...one, impressions: 40_000, spend: 120_000_000_000 }));
    draw(<WindowsTable days={many} to={TO} currency="JPY" firstDay={null} targetAcos={null} margin={null} />);
    expect(line('Impressions')).toEqual(['280k', '560k', '1,200k', '2,400k', '3,600k']);
    expect(line('Spend JPY')).toEqual(['840k', '1,680k', '3,600k', '7,200k', '10.8M']);
  });

  test('a window that begins before the data is marked', () => {
    draw(
      <WindowsTable
        days={DAYS}
        to={TO}
        currency="EUR"
        firstDay={addDays(TO, -20)}
        targetAcos={null}
        margin={null}
      />,
    );
    expect(screen.getAllByRole('columnheader').map(({ textContent }) => textContent)).toEqual([
      'Days',
      '7',
      '14',
      '30*',
      '60*',
      '90*',
    ]);
    expect(screen.getAllByTitle('The data begins later')).toHaveLength(3);
  });
});
