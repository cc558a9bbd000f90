import { describe, expect, test } from 'vitest';
import { addDays } from '../units';
import type { Day } from '../units';
import { fundsEnd, moneyWarnings } from '.';
import type { MoneyOfAccount, PacedCampaign } from '.';

const LAST = '2026-11-20';
/** So much a day over the last eight weeks. */
const spending = (micros: (back: number) => number) =>
  new Map<Day, number>(Array.from({ length: 60 }, (_, back) => [addDays(LAST, -back), micros(back)]));
const campaign = (over: Partial<PacedCampaign> = {}): PacedCampaign => ({
  name: 'Crock exact',
  budget: 20e6,
  budgetKind: 'daily',
  endsOn: '2027-06-30',
  spent: 0,
  perDay: 10e6,
  cpc: 0.5e6,
  ...over,
});
const account = (over: Partial<MoneyOfAccount> = {}): MoneyOfAccount => ({
  currency: 'GBP',
  funds: null,
  amounts: spending(() => 100e6),
  last: LAST,
  goal: null,
  campaigns: [campaign()],
  ...over,
});
const kinds = (over: Partial<MoneyOfAccount>) => moneyWarnings(account(over)).map(({ kind }) => kind);

describe('prepaid money', () => {
  test('lasts as many days as it pays for, and the less even the spend, the less sure that is', () => {
    expect(
      fundsEnd(
        spending(() => 100e6),
        LAST,
        1000e6,
      ),
    ).toEqual({
      perDay: 100e6,
      on: '2026-11-30',
      earliest: '2026-11-30',
      latest: '2026-11-30',
    });
    const uneven = fundsEnd(
      spending((back) => (back % 2 === 0 ? 40e6 : 160e6)),
      LAST,
      1000e6,
    )!;
    expect(uneven.on).toBe('2026-11-30');
    expect(uneven.earliest < uneven.on && uneven.on < uneven.latest).toBe(true);
  });

  test('that ends soon is told everywhere, and when it is gone that nothing is shown', () => {
    const [soon] = moneyWarnings(account({ funds: 900e6 }));
    expect(soon).toMatchObject({ kind: 'funds', isUrgent: true });
    expect(soon.sentence).toContain('last until about 29 Nov');
    expect(moneyWarnings(account({ funds: 9000e6 }))[0].isUrgent).toBe(false);
    expect(moneyWarnings(account({ funds: 0 }))[0].sentence).toContain('no ad is shown');
    expect(
      fundsEnd(
        spending(() => 0),
        LAST,
        1e9,
      ),
    ).toBeNull();
  });
});

describe('the month', () => {
  test('that spends too fast or too slowly is told with what it comes to; a month that keeps its pace is not', () => {
    const [over] = moneyWarnings(account({ goal: 2400e6 }));
    expect(over).toMatchObject({ kind: 'over pace', isUrgent: true });
    expect(over.sentence).toContain(
      'it comes to about 3,000.00 of 2,400.00 GBP, and the money is gone about 24 Nov',
    );
    expect(kinds({ goal: 3000e6 })).toEqual([]);
    expect(kinds({ goal: 4000e6 })).toEqual(['under pace']);
  });

  test('of which only a few days are over tells nothing yet', () => {
    expect(kinds({ goal: 2400e6, last: '2026-11-03' })).toEqual([]);
  });
});

test.each<[string, Partial<PacedCampaign>, string[]]>([
  [
    'a lifetime budget that is gone before the end',
    { budgetKind: 'lifetime', budget: 300e6, spent: 200e6, endsOn: '2026-12-24' },
    ['lifetime budget'],
  ],
  ['one that lasts', { budgetKind: 'lifetime', budget: 900e6, spent: 200e6, endsOn: '2026-12-24' }, []],
  ['a daily budget of less than two clicks', { budget: 0.9e6 }, ['small budget']],
  ['no end date', { endsOn: null }, ['no end']],
])('of a campaign with %s is told what is to be', (_, over, told) => {
  expect(kinds({ campaigns: [campaign(over)] })).toEqual(told);
});
