import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { anAccountInfo } from '../../../../tests/make/review';
import { WindowButton } from './WindowButton';
import type { ShownWindow } from './windowState';

let chosen: (string | null)[][] = [];
function Page({ shown, isChosen = false }: { shown: ShownWindow | undefined; isChosen?: boolean }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <WindowButton
      account={anAccountInfo({ firstDay: '2026-08-01', lastDay: '2026-11-19' })}
      window={{
        shown,
        isOpen,
        onOpen: setOpen,
        onWindow: (from, to) => chosen.push([from, to]),
        versus: {
          shown: { from: '2026-09-18', to: '2026-10-17', isCovered: true },
          isChosen,
          onVersus: (span) => chosen.push([span]),
        },
      }}
    />
  );
}

const SHOWN = { from: '2026-10-18', to: '2026-11-16', unsettled: ['2026-11-17', '2026-11-18', '2026-11-19'] };
function open(shown: ShownWindow = SHOWN) {
  chosen = [];
  draw(<Page shown={shown} />);
  fireEvent.click(screen.getByTitle(/^Window \(w\)/));
}
/** Types a day into a date field, as its calendar would write it. */
function type(label: string, value: string) {
  const field = screen.getByRole('group', { name: label }).querySelector('input')!;
  fireEvent.change(field, { target: { value } });
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the window', () => {
  test('says which days count and how many are left out, both ends counted', () => {
    draw(<Page shown={SHOWN} />);
    expect(screen.getByTitle(/^Window \(w\)/).textContent).toMatch(
      /^18 Oct.* – 16 Nov.* · 30 days · 3 unsettled days left out$/,
    );
  });

  test('of one day left out says “day”, and of none says nothing', () => {
    const { unmount } = draw(<Page shown={{ ...SHOWN, unsettled: ['2026-11-19'] }} />);
    expect(screen.getByTitle(/^Window \(w\)/).textContent).toContain('1 unsettled day left out');
    unmount();
    draw(<Page shown={{ ...SHOWN, unsettled: [] }} />);
    expect(screen.getByTitle(/^Window \(w\)/).textContent).not.toContain('unsettled');
  });

  test('is not there before it is known', () => {
    draw(<Page shown={undefined} />);
    expect(screen.queryByTitle(/^Window \(w\)/)).toBeNull();
  });

  test.each([
    ['7 days', ['last7', 'settled']],
    ['90 days', ['last90', 'settled']],
    [/^Usual window/, [null, null]],
  ])('can be %s, in words that stay true when days pass', (name, window) => {
    open();
    press(name);
    expect(chosen).toEqual([window]);
  });

  test('can be any days, but not from a later one to an earlier', async () => {
    open();
    // Its calendar comes when it is asked for.
    await screen.findByRole('group', { name: 'From' }, { timeout: 20_000 });
    type('From', '17 Nov 2026');
    expect((screen.getByRole('button', { name: 'Set' }) as HTMLButtonElement).disabled).toBe(true);
    fireEvent.submit(screen.getByRole('button', { name: 'Set' }).closest('form')!);
    expect(chosen).toEqual([]);
    type('From', '1 Nov 2026');
    type('To', '1 Nov 2026');
    press('Set');
    expect(chosen).toEqual([['2026-11-01', '2026-11-01']]);
  });

  test('tells what there is, and why the last days are left out', () => {
    open();
    expect(
      screen.getByText(
        /There are figures from 1 Aug to 19 Nov\. Orders of 17 Nov.*, 18 Nov.*, 19 Nov.* are still coming in/,
      ),
    ).toBeTruthy();
  });
});

describe('what a window is compared with', () => {
  test('can be any other span; one of another length is told, and made as long with a click', async () => {
    open();
    await screen.findByRole('group', { name: 'Compared from' }, { timeout: 20_000 });
    type('Compared from', '1 Aug 2026');
    type('Compared to', '31 Aug 2026');
    expect(screen.getByText(/31 days against 30/)).toBeTruthy();
    press('Make it 30 days');
    press('Compare');
    expect(chosen).toEqual([['2026-08-01..2026-08-30']]);
  });

  test('is told in the bar once it was chosen, and left for the days before again', () => {
    chosen = [];
    draw(<Page shown={SHOWN} isChosen />);
    const bar = screen.getByTitle(/^Window \(w\)/);
    expect(bar.textContent).toMatch(/against 18 Sep.* – 17 Oct/);
    fireEvent.click(bar);
    press('The 30 days before it');
    expect(chosen).toEqual([[null]]);
  });
});
