import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { aTree, sumsByTarget } from '../../../tests/make/lenses';
import { draw, typeIn } from '../../../tests/make/page';
import { aBudgetRow, aPlacement, aPlacementRow } from '../../../tests/make/round';
import type { MoneyChoices } from '../../contract/choices';
import type { ScheduleRow } from '../../contract/schedules';
import { buildLens } from '../../core/lenses';
import { indexTree } from '../../core/structure';
import type { BudgetRow, BudgetsPlan } from '../../plans/budgets';
import type { PlacementPlan } from '../../plans/placements';
import { AcceptDialog } from './bids/AcceptDialog';
import type { AskedAct } from './bids/AcceptDialog';
import { AcceptBudgets } from './budgets/AcceptBudgets';
import { MoneyForm } from './budgets/MoneyForm';
import { AcceptHours } from './hours/AcceptHours';
import { AcceptPlacements } from './placements/AcceptPlacements';

afterEach(cleanup);

const table = buildLens('campaigns', indexTree(aTree()), sumsByTarget([]));
const dialog = () => screen.getByRole('dialog');
const does = (name: string | RegExp) => within(dialog()).getByRole('button', { name });
const line = (text: RegExp) => within(dialog()).getByText(text);

/** A bid of a target that goes down by a tenth, unless it says otherwise. Money in currency units. */
function anAct({ row, from = 1, to = 0.9, isPause = false, clicks = 40, orders = 2 }: {
  row: number; from?: number; to?: number; isPause?: boolean; clicks?: number; orders?: number;
}): AskedAct {
  return {
    row,
    targetId: 1000 + row,
    name: `term ${row}`,
    place: 'Crock › exact',
    isPause,
    from: from * 1e6,
    to: to * 1e6,
    now: { clicks: 100, spend: 30e6, sales: 90e6 },
    after: isPause ? { clicks: 0, spend: 0, sales: 0 } : { clicks: 90, spend: 24e6, sales: 84e6 },
    clicks,
    orders,
  };
} // prettier-ignore

describe('many bids are accepted', () => {
  const open = (acts: AskedAct[]) => {
    const onDone = vi.fn<(rows: number[] | null) => void>();
    draw(
      <AcceptDialog
        acts={acts}
        limits={{ minBid: 50_000, maxBid: 50_000_000 }}
        currency="EUR"
        onDone={onDone}
      />,
    );
    return onDone;
  };

  test('after it was told what they come to', () => {
    open([anAct({ row: 1 }), anAct({ row: 2, from: 0.5, to: 0.6 }), anAct({ row: 3, isPause: true })]);
    expect(line(/1 bid down, 1 bid up, 1 target paused/)).toBeTruthy();
    // 90 → 48 spent, 270 → 168 sold.
    expect(line(/spend about −42.00 EUR a month, sales −102.00, ACOS of these 33.3 % → 28.6 %/)).toBeTruthy();
  });

  test('without those that are taken out, which are told no more; and put back they count again', () => {
    const onDone = open([anAct({ row: 1 }), anAct({ row: 2 })]);
    fireEvent.click(does('Take out term 1'));
    expect(does('Accept 1')).toBeTruthy();
    expect(line(/spend about −6.00 EUR/)).toBeTruthy();
    fireEvent.click(does('Put back term 1'));
    expect(line(/spend about −12.00 EUR/)).toBeTruthy();
    fireEvent.click(does('Take out term 2'));
    fireEvent.click(does('Accept 1'));
    expect(onDone).toHaveBeenCalledWith([1]);
  });

  test('with those apart that are raised though they never sold: all of them are taken out at once', () => {
    const raised = [3, 4, 5].map((row) => anAct({ row, from: 0.5, to: 0.6, orders: 0 }));
    const onDone = open([anAct({ row: 1 }), ...raised]);
    const part = screen.getByRole('region', { name: 'Raised without an order: 3' });
    fireEvent.click(within(part).getByRole('button', { name: 'Take all out' }));
    fireEvent.click(does('Accept 1'));
    expect(onDone).toHaveBeenCalledWith([1]);
  });

  test('the largest moves are named first: a pause before all, then whichever goes furthest, up or down', () => {
    open([
      anAct({ row: 1, to: 0.9 }),
      anAct({ row: 2, from: 0.5, to: 1 }),
      anAct({ row: 3, isPause: true }),
      anAct({ row: 4, to: 0.4 }),
    ]);
    const part = screen.getByRole('region', { name: 'The largest moves' });
    const names = within(part)
      .getAllByText(/^term \d$/)
      .map(({ textContent }) => textContent);
    expect(names).toEqual(['term 3', 'term 4', 'term 2', 'term 1']);
  });

  test('not at all where nothing is left of them, nor by closing', () => {
    const onDone = open([anAct({ row: 1 })]);
    fireEvent.click(does('Not now'));
    expect(onDone).toHaveBeenCalledWith(null);
    cleanup();
    open([anAct({ row: 1, from: 0.9, to: 0.9 })]);
    expect((does('Accept 0') as HTMLButtonElement).disabled).toBe(true);
    expect(line(/1 stays as it is/)).toBeTruthy();
  });
});

/** A campaign whose daily budget goes from one sum to another, in currency units. */
const aBudget = (campaignId: number, from: number, to: number, left: BudgetRow['left'] = null) =>
  aBudgetRow({
    campaignId,
    left,
    from: from * 1e6,
    to: to * 1e6,
    now: { clicks: 900, spend: from * 30e6, sales: from * 90e6 },
    after: { clicks: 900, spend: to * 30e6, sales: to * 100e6 },
  });

describe('money is moved', () => {
  const open = (rows: BudgetRow[]) => {
    const onDone = vi.fn<(rows: number[] | null) => void>();
    const plan = { rows } as BudgetsPlan;
    draw(
      <AcceptBudgets
        plan={plan}
        table={table}
        rows={rows.map((_, row) => row)}
        currency="EUR"
        onDone={onDone}
      />,
    );
    return onDone;
  };

  test('after it was told that the total stays to the cent, and of campaigns that move alone', () => {
    const onDone = open([aBudget(1, 10, 4), aBudget(2, 10, 16), aBudget(3, 10, 10)]);
    expect(dialog().textContent).toContain('Move the money of 2 campaigns?');
    expect(
      line(/Raised by 6.00 EUR a day in all, lowered by 6.00: the total stays to the cent/),
    ).toBeTruthy();
    fireEvent.click(does('Accept 2'));
    expect(onDone).toHaveBeenCalledWith([0, 1]);
  });

  test('or by how much the total changes, and what a month is expected to change by', () => {
    open([aBudget(1, 10, 4), aBudget(2, 10, 12)]);
    expect(line(/the total changes by −4.00 EUR/)).toBeTruthy();
    // Spend 600 → 480 a month; sales 1,800 → 1,600.
    expect(line(/spend −120.00 EUR, sales −200.00 EUR/)).toBeTruthy();
  });

  test('not from a campaign that is left as it is needed', () => {
    open([aBudget(1, 10, 4, 'as needed')]);
    expect((does('Accept 0') as HTMLButtonElement).disabled).toBe(true);
  });
});

describe('what the money is for', () => {
  const ASKED: MoneyChoices = { means: null, month: null, over: 1.1, byBids: [] };
  const open = (money = ASKED) => {
    const onDone = vi.fn<(money: Partial<MoneyChoices>) => void>();
    draw(<MoneyForm money={money} sum={84_500_000} currency="EUR" onDone={onDone} />);
    return onDone;
  };
  const plan = () => screen.getByRole('button', { name: 'Plan with it' }) as HTMLButtonElement;

  test('is that the daily budgets stay, until another thing is said', () => {
    const onDone = open();
    expect(screen.getByText(/stay at 84.50 EUR together, to the cent/)).toBeTruthy();
    fireEvent.click(plan());
    expect(onDone).toHaveBeenCalledWith({ means: 'sum stays' });
  });

  test('or so much a month: it waits for the sum, and tells what a day comes to', () => {
    const onDone = open();
    fireEvent.click(screen.getByLabelText('So much money a month'));
    expect(plan().disabled).toBe(true);
    typeIn('A month', '3040');
    // A month has 30.4 days.
    expect(screen.getByText(/^100.00 EUR a day on average.*budgets may come to 110.00/s)).toBeTruthy();
    fireEvent.click(plan());
    expect(onDone).toHaveBeenCalledWith({ means: 'money', month: 3_040_000_000, over: 1.1 });
  });
});

describe('placements are set', () => {
  const aRow = (campaignId: number, top: [number, number], pages: [number, number]) =>
    aPlacementRow({
      campaignId,
      placements: [aPlacement(...top), aPlacement(0, 0), aPlacement(...pages)],
      targets: 4,
    });

  test('counted by modifiers that go up and down, with the targets whose bids go along; what stays is left out', () => {
    const rows = [aRow(1, [0.5, 0.8], [0.1, 0]), aRow(2, [0.5, 0.5], [0.1, 0.1])];
    const onDone = vi.fn<(rows: number[] | null) => void>();
    const plan: PlacementPlan = { rows, account: [], unlike: [] };
    draw(
      <AcceptPlacements
        plan={plan}
        table={table}
        edits={new Map()}
        rows={[0, 1]}
        currency="EUR"
        onDone={onDone}
      />,
    );
    expect(dialog().textContent).toContain('Set the placements of 1 campaign?');
    expect(line(/1 modifier up, 1 down; the base bids of up to 4 targets go with them/)).toBeTruthy();
    expect(line(/^top 50 % → 80 %, pages 10 % → 0 %$/)).toBeTruthy();
    fireEvent.click(does('Accept 1'));
    expect(onDone).toHaveBeenCalledWith([0]);
  });
});

describe('campaigns are put on a schedule', () => {
  const aSchedule = (over: Partial<ScheduleRow>): ScheduleRow => ({
    campaignId: 1,
    products: [101],
    orders: 90,
    running: null,
    isOwn: false,
    name: 'Evenings',
    week: '',
    blocks: 3,
    bases: 1,
    bids: [],
    now: { spend: 100e6, sales: 400e6 },
    after: { spend: 100e6, sales: 412e6 },
    left: null,
    isHeld: false,
    isFirst: true,
    ...over,
  });
  const open = (rows: ScheduleRow[]) => draw(<AcceptHours rows={rows} currency="EUR" onDone={() => {}} />);

  test('with what they win; those for which nothing is proposed are left out', () => {
    open([aSchedule({}), aSchedule({ left: 'no pattern' })]);
    expect(dialog().textContent).toContain('Put 1 campaign on a schedule?');
    expect(line(/sales \+12.00 EUR at the same ACOS/)).toBeTruthy();
    expect(within(dialog()).queryByText(/to try first/)).toBeNull();
  });

  test('and it is told which are to be tried first, and whose base bids go down where schedules only raise', () => {
    open([aSchedule({ bases: 0.9 }), aSchedule({ isFirst: false })]);
    expect(line(/^1 of them is marked to try first/)).toBeTruthy();
    expect(line(/base bids of 1 campaign go down/)).toBeTruthy();
  });
});
