import { screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { draw } from '../../../tests/make/page';
import { DayStrip } from '..';

test('a strip of days counts the orders of its own days alone, and shows how many came on the best', () => {
  const day = (name: string, orders: number) => ({ day: name, clicks: 9, spend: 2_000_000, orders });
  draw(
    <DayStrip
      days={[day('2026-09-01', 5), day('2026-11-10', 7), day('2026-11-12', 1)]}
      from="2026-11-01"
      to="2026-11-16"
      settledTo="2026-11-16"
      width={300}
      currency="EUR"
    />,
  );
  expect(screen.getByRole('img', { name: /1 Nov to 16 Nov: 8 orders\.$/ })).toBeDefined();
  expect(screen.getByText('orders, 7 on the best day')).toBeDefined();
  expect(screen.queryByText('1 Sep')).toBeNull();
});
