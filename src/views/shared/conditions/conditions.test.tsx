import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, test } from 'vitest';
import { choicesOf, draw, pick } from '../../../../tests/make/page';
import type { Stack } from '../../../core/conditions';
import { Conditions } from './Conditions';

const FIELDS = {
  numbers: ['clicks', 'orders', 'acos', 'spend'],
  texts: ['name'],
  choices: ['standing'],
} as const;

let kept: Stack = [];
function Bar({ start = [] }: { start?: Stack }) {
  const [conditions, setConditions] = useState(start);
  const [isAdding, setAdding] = useState(false);
  kept = conditions;
  return (
    <Conditions
      fields={FIELDS}
      conditions={conditions}
      onChange={setConditions}
      isAdding={isAdding}
      onAdding={setAdding}
      brushed={null}
      onClearBrush={() => {}}
    />
  );
}

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, value: string, at = 0) =>
  fireEvent.change(screen.getAllByLabelText(label)[at], { target: { value } });
const set = () => fireEvent.submit(screen.getAllByLabelText('Field')[0].closest('form')!);

describe('conditions', () => {
  test('are made of a field, a comparison and a number, in the unit that is shown', async () => {
    draw(<Bar />);
    press('Condition');
    pick('Field', 'ACOS');
    expect(screen.getByText('in %')).toBeTruthy();
    pick('Comparison', 'at most');
    type('Value', '24');
    press('Set');
    expect(screen.getByText('ACOS ≤ 24 %')).toBeTruthy();
    expect(kept).toEqual([[{ field: 'acos', op: 'atMost', value: 0.24 }]]);
    await waitFor(() => expect(screen.queryByLabelText('Value')).toBeNull());
  });

  test('of money are typed in units and kept in millionths', () => {
    draw(<Bar />);
    press('Condition');
    pick('Field', 'Spend');
    type('Value', '2,50');
    press('Set');
    expect(kept).toEqual([[{ field: 'spend', op: 'atLeast', value: 2_500_000 }]]);
  });

  test('may be typed whole, one or another at once', () => {
    draw(<Bar />);
    press('Condition');
    type('Value', 'acos<=24|orders>=2');
    press('Set');
    expect(screen.getByText('ACOS ≤ 24 % or Orders ≥ 2')).toBeTruthy();
  });

  test('that make no sense are told, and what was typed stays', () => {
    draw(<Bar />);
    press('Condition');
    for (const nonsense of ['many', '', '1,2,3', '-']) {
      type('Value', nonsense);
      press('Set');
      expect(screen.getByRole('alert').textContent).toContain('Type a number');
      expect((screen.getByLabelText('Value') as HTMLInputElement).value).toBe(nonsense);
    }
    expect(kept).toEqual([]);
    pick('Field', 'Name');
    press('Set');
    expect(screen.getByRole('alert').textContent).toBe('Type a part of the text.');
  });

  test('hold any text, also signs that links use', () => {
    draw(<Bar />);
    press('Condition');
    pick('Field', 'Name');
    expect(choicesOf('Comparison')).toEqual(['holds', 'lacks']);
    type('Value', 'a|b;c & d');
    press('Set');
    expect(kept).toEqual([[{ field: 'name', op: 'holds', text: 'a|b;c & d' }]]);
    expect(screen.getByText(/holds “a\|b;c & d”/)).toBeTruthy();
  });

  test('on what has few values offer these', () => {
    draw(<Bar />);
    press('Condition');
    pick('Field', 'Standing');
    const [first, second] = choicesOf('Value');
    pick('Value', second!);
    pick('Comparison', 'is not');
    press('Set');
    expect(kept).toEqual([[{ field: 'standing', op: 'isNot', choice: second }]]);
    expect(first).not.toBe(second);
  });

  test('are edited in place, and one of them given an “or”', () => {
    draw(
      <Bar
        start={[
          [{ field: 'clicks', op: 'atLeast', value: 10 }],
          [{ field: 'orders', op: 'atLeast', value: 2 }],
        ]}
      />,
    );
    press('Clicks ≥ 10');
    expect((screen.getByLabelText('Value') as HTMLInputElement).value).toBe('10');
    type('Value', '25');
    press('or …');
    pick('Field', 'ACOS', 1);
    pick('Comparison', 'at most', 1);
    type('Value', '30', 1);
    press('Set');
    expect(screen.getByText('Clicks ≥ 25 or ACOS ≤ 30 %')).toBeTruthy();
    expect(kept.map((group) => group.length)).toEqual([2, 1]);
  });

  test('are taken away one by one, or all', () => {
    const one = (value: number) => [{ field: 'clicks' as const, op: 'atLeast' as const, value }];
    draw(<Bar start={[one(1), one(2), one(3)]} />);
    fireEvent.keyUp(screen.getByRole('button', { name: 'Clicks ≥ 2' }), { key: 'Delete' });
    expect(kept).toEqual([one(1), one(3)]);
    press('Clear all');
    expect(kept).toEqual([]);
    expect(screen.queryByText('Clear all')).toBeNull();
  });

  test('are kept by Enter as by the button', () => {
    draw(<Bar />);
    press('Condition');
    type('Value', '7');
    set();
    expect(kept).toHaveLength(1);
  });
});
