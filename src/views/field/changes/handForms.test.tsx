import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import type { AcosBands } from '../../../core/changes';
import { USUAL_BANDS } from '../../../plans/byHand';
import type { HandPlan } from '../../../plans/byHand';
import { BandsForm } from './BandsForm';
import { PlanWords } from './PlanWords';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the bands of a plain rule', () => {
  let bands: AcosBands;
  function Page() {
    const [now, setNow] = useState<AcosBands>({
      bands: [
        { from: 1.2, by: -0.1 },
        { from: 2, by: -0.25 },
      ],
      noSales: { spend: 10_000_000, by: -0.3 },
    });
    bands = now;
    return <BandsForm bands={now} currency="EUR" onBands={setNow} />;
  }
  const type = (label: string, value: string, at = 0) => {
    fireEvent.change(screen.getAllByLabelText(label)[at], { target: { value } });
    fireEvent.blur(screen.getAllByLabelText(label)[at]);
  };

  test('stand the highest first, in a word on the button, in a table behind it', () => {
    draw(<Page />);
    press('−25 % / −10 %');
    expect(screen.getAllByLabelText('From, ×').map((one) => (one as HTMLInputElement).value)).toEqual([
      '2',
      '1.2',
    ]);
  });

  test('are changed, added and removed; one always stays', () => {
    draw(<Page />);
    press('−25 % / −10 %');
    type('Moves the bid by, %', '-40');
    expect(bands.bands[0]).toEqual({ from: 2, by: -0.4 });
    press('Add a band');
    expect(bands.bands.at(-1)).toEqual({ from: 2.5, by: -0.3 });
    press('Remove the band from 2.5 × target');
    press('Remove the band from 2 × target');
    expect(bands.bands).toEqual([{ from: 1.2, by: -0.1 }]);
    expect((screen.getByRole('button', { name: /^Remove the band/ }) as HTMLButtonElement).disabled).toBe(
      true,
    );
  });

  test('never lower a bid by more than 90 %, and take what is no number for nothing typed', () => {
    draw(<Page />);
    press('−25 % / −10 %');
    type('Moves the bid by, %', '-95');
    type('Moves the bid by, %', 'x');
    expect(bands.bands).toContainEqual({ from: 2, by: -0.25 });
  });

  test('treat what spent without sales by itself, and go back to what they were at first', () => {
    draw(<Page />);
    press('−25 % / −10 %');
    type('Spent without sales, EUR', '7,5');
    type('moves it by, %', '-50');
    expect(bands.noSales).toEqual({ spend: 7_500_000, by: -0.5 });
    press('Reset');
    expect(bands).toEqual(USUAL_BANDS);
  });
});

describe('what a move by hand comes to', () => {
  const plan = (over: Partial<HandPlan>) =>
    ({
      changes: Array(4).fill({ effect: { spend: -2_500_000, sales: -10_000_000 } }),
      up: 1,
      down: 3,
      atFloor: 0,
      atCap: 0,
      same: 0,
      pending: 0,
      recent: 0,
      before: 2_000_000,
      after: 1_600_000,
      ...over,
    }) as unknown as HandPlan;
  const words = (over: Partial<HandPlan>, isShare = false) => {
    let asked: boolean | null = null;
    const { container } = draw(
      <PlanWords
        plan={plan(over)}
        isShare={isShare}
        currency="EUR"
        againToo={false}
        onAgainToo={(next) => (asked = next)}
      />,
    );
    return { text: container.textContent, asked: () => asked };
  };

  test('is told before it is staged: which way, from what to what on average, what hits a limit', () => {
    expect(words({ atFloor: 2, atCap: 1, same: 5 }).text).toBe(
      '3 down · 1 up · on average 0.50 → 0.40 EUR · 2 at the floor · 1 at the cap · 5 stay · about −10.00 EUR spend, −40.00 sales a month',
    );
  });

  test('of one is told without an average, of modifiers in per cent', () => {
    expect(
      words(
        { changes: [{ effect: { spend: 0, sales: 0 } }] as never, up: 0, down: 1, before: 0.5, after: 0.25 },
        true,
      ).text,
    ).toBe('1 down · 50 % → 25 %');
  });

  test('says what it leaves out and why, and takes it in only when that is asked for', () => {
    const { text, asked } = words({ pending: 2, recent: 7 });
    expect(text).toMatch(
      /▲ left out: 2 wait in the tray, 7 changed in the last \d+ days\s*change these too$/,
    );
    fireEvent.click(screen.getByRole('checkbox'));
    expect(asked()).toBe(true);
  });
});
