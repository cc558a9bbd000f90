import { cleanup, fireEvent, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../tests/make/page';
import { BidCell } from './BidCell';

/** The cell while it is edited; what it told, in turn. */
function edited(bid: number, over: { step?: number; isShare?: boolean } = {}) {
  const told: (number | null)[] = [];
  draw(
    <BidCell
      bid={bid}
      step={10_000}
      {...over}
      isEditing
      onEdit={() => {}}
      onDone={(next) => told.push(next)}
    />,
  );
  const field = screen.getByLabelText(over.isShare ? 'Per cent' : 'Bid') as HTMLInputElement;
  const key = (name: string) => fireEvent.keyDown(field, { key: name });
  const type = (value: string) => fireEvent.change(field, { target: { value } });
  return { told, field, key, type };
}

describe('a bid that is edited in place', () => {
  test('is shown on the market’s step, and tells when it is to be edited', () => {
    let asked = 0;
    draw(
      <BidCell bid={450_000} step={50_000} isEditing={false} onEdit={() => (asked += 1)} onDone={() => {}} />,
    );
    fireEvent.click(screen.getByText('0.45'));
    expect(asked).toBe(1);
  });

  test('is kept by Enter, in millionths, with a comma as with a point', () => {
    for (const [text, bid] of [
      ['0.52', 520_000],
      ['0,52', 520_000],
      ['1', 1_000_000],
    ] as const) {
      const { told, key, type } = edited(450_000);
      type(text);
      key('Enter');
      expect(told).toEqual([bid]);
      cleanup();
    }
  });

  test('is given up by Escape, once, also when the field loses the focus as it goes', () => {
    const { told, field, key, type } = edited(450_000);
    type('9');
    key('Escape');
    fireEvent.blur(field);
    expect(told).toEqual([null]);
  });

  test('is kept when the field is left', () => {
    const { told, field, type } = edited(450_000);
    type('0.61');
    fireEvent.blur(field);
    expect(told).toEqual([610_000]);
  });

  test.each(['', 'much', '0', '-1', '1e999'])('stays what it was when “%s” is typed', (text) => {
    const { told, key, type } = edited(450_000);
    type(text);
    key('Enter');
    expect(told).toEqual([null]);
  });

  test('moves by arrows: one per cent, and one step of the market at least', () => {
    const { field, key } = edited(450_000);
    key('ArrowUp');
    expect(field.value).toBe('0.46');
    key('ArrowDown');
    key('ArrowDown');
    expect(field.value).toBe('0.44');
  });

  test('moves on a market’s step of 0.05 by 0.05, on one of 1 by whole units', () => {
    const fine = edited(450_000, { step: 50_000 });
    fine.key('ArrowUp');
    expect(fine.field.value).toBe('0.50');
    cleanup();
    const coarse = edited(45_000_000, { step: 1_000_000 });
    coarse.key('ArrowDown');
    expect(coarse.field.value).toBe('44.00');
  });

  test('never moves below the least that the market takes', () => {
    const { field, key } = edited(10_000);
    key('ArrowDown');
    expect(field.value).toBe('0.01');
  });
});

describe('a modifier that is edited in place', () => {
  test('is typed in per cent, and may be none', () => {
    const { told, field, key, type } = edited(0.25, { isShare: true });
    expect(field.value).toBe('25');
    key('ArrowUp');
    expect(field.value).toBe('26');
    type('0');
    key('ArrowDown');
    expect(field.value).toBe('0');
    key('Enter');
    expect(told).toEqual([0]);
  });
});
