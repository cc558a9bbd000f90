import { expect, test } from 'vitest';
import { NO_SUMS } from '../measures';
import { missingFor, USUAL_PLACEMENT_ASKS } from '.';
import type { PlacementAsks } from '.';

const sums = {
  ...NO_SUMS,
  impressions: 10_000,
  clicks: 50,
  spend: 25_000_000,
  orders: 4,
  units: 4,
  sales: 100_000_000,
};
const asks = (over: Partial<PlacementAsks['least'] & PlacementAsks['most']>): PlacementAsks => ({
  ...USUAL_PLACEMENT_ASKS,
  least: { spend: over.spend ?? null, conversion: over.conversion ?? null, ctr: over.ctr ?? null },
  most: { cpc: over.cpc ?? null, acos: over.acos ?? null },
});

test.each([
  [{}, null],
  [{ spend: 25_000_000, conversion: 0.08, ctr: 0.005, cpc: 500_000, acos: 0.25 }, null],
  [{ spend: 30_000_000 }, 'spend of 25.00 in 60 days, under the 30.00 that is asked'],
  [{ conversion: 0.1 }, 'conversion of 8.0 % in 60 days, under the 10.0 % that is asked'],
  [{ ctr: 0.01 }, 'CTR of 0.50 % in 60 days, under the 1.00 % that is asked'],
  [{ cpc: 400_000 }, 'CPC of 0.50 in 60 days, over the 0.40 that is asked'],
  [{ acos: 0.2 }, 'ACOS of 25.0 % in 60 days, over the 20.0 % that is asked'],
] as const)('a placement that is asked for %o lacks: %s', (over, missing) => {
  expect(missingFor(sums, asks(over))).toBe(missing);
});

test('what is not known meets nothing that is asked of it', () => {
  expect(missingFor(NO_SUMS, asks({ conversion: 0.01 }))).toBe('no conversion in 60 days');
  expect(missingFor({ ...sums, sales: 0 }, asks({ acos: 0.9 }))).toBe('no ACOS in 60 days');
  expect(missingFor(NO_SUMS, asks({}))).toBeNull();
});
