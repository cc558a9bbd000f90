import { cleanup, fireEvent, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { CostCell } from './CostCell';

/** A cell of money, or of a share; what it told, in turn. */
function cell(value: number | null, over: { isShare?: boolean; usual?: number | null } = {}) {
  const told: (number | null)[] = [];
  const { isShare = false, usual = null } = over;
  draw(
    <CostCell
      label="Goods of Crock"
      scale={isShare ? 0.01 : 1_000_000}
      decimals={isShare ? 1 : 2}
      value={value}
      usual={usual}
      onChange={(next) => told.push(next)}
    />,
  );
  const field = screen.getByLabelText('Goods of Crock') as HTMLInputElement;
  return {
    told,
    field,
    type: (text: string, key = 'Enter') => {
      fireEvent.change(field, { target: { value: text } });
      if (key === 'leave') fireEvent.blur(field);
      else fireEvent.keyDown(field, { key });
    },
  };
}

describe('a cost', () => {
  test('is kept in millionths by Enter or by leaving, with a comma as with a point', () => {
    const { told, type } = cell(null);
    type('12,5');
    type('8.999999', 'leave');
    expect(told).toEqual([12_500_000, 8_999_999]);
  });

  test('that is emptied is not known, which is not zero', () => {
    const { told, type } = cell(5_000_000);
    type('');
    expect(told).toEqual([null]);
    cleanup();
    const other = cell(5_000_000);
    other.type('0');
    expect(other.told).toEqual([0]);
  });

  test('that is not touched says nothing, and Escape gives up what was typed', () => {
    const { told, field, type } = cell(5_000_000);
    fireEvent.blur(field);
    type('9', 'Escape');
    fireEvent.blur(field);
    expect([told, field.value]).toEqual([[], '5.00']);
  });

  test.each(['-1', 'cheap', '1e999'])('of “%s” is marked and not kept', (text) => {
    const { told, field, type } = cell(5_000_000);
    type(text);
    expect([told, field.getAttribute('aria-invalid'), field.title]).toEqual([
      [],
      'true',
      'An amount of 0 or more',
    ]);
  });

  test('in per cent ends at 100', () => {
    const { told, field, type } = cell(0.05, { isShare: true });
    expect(field.value).toBe('5.0');
    type('7,5 %');
    type('101');
    expect(told).toEqual([0.075]);
    expect(field.title).toBe('A percentage from 0 to 100');
  });

  test('that is not set shows what counts instead, pale', () => {
    expect(cell(null, { usual: 19_900_000 }).field.placeholder).toBe('19.90');
    cleanup();
    expect(cell(null).field.placeholder).toBe('–');
  });
});
