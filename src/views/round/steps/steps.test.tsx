import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { useTray } from '../../shared/tray/useTray';
import { RoundBody } from '../RoundBody';
import { roundKeys } from '../roundKeys';
import { useRoundState } from '../useRoundState';
import { ROUND_STEPS } from '.';
import type { RoundStep, WorkState } from './step';

/** A step as a new folder would export it: all that it takes. */
const hedges: RoundStep<WorkState & { word: string }> = {
  name: 'hedges',
  label: 'Hedges',
  money: 'to trim',
  purpose: 'other',
  keys: [['q', 'hedges: trim']],
  work: {
    useWork: () => ({
      left: [{ step: 'hedges', left: 12, money: 34_500_000 }],
      staged: {},
      hasData: true,
      isCurrent: true,
      word: 'box',
    }),
  },
  Step: ({ work, label }) => (
    <main>
      {label}: {work.word}
    </main>
  ),
  hasEvidence: false,
};
/** The line; in place of the last one, for digits go to nine. */
const STEPS = [...ROUND_STEPS.slice(0, -1), hedges] as unknown as readonly RoundStep[];

function Page() {
  const state = useRoundState(
    undefined,
    STEPS.map(({ name }) => name),
  );
  const tray = useTray(undefined);
  return (
    <RoundBody
      steps={STEPS}
      account={undefined}
      fault={null}
      state={state}
      tray={tray}
      window={{ shown: undefined, isOpen: false, onOpen: () => {}, onWindow: () => {} }}
    />
  );
}

describe('a step of the round is a folder and a line', () => {
  test('it stands in the list with what is left and its money, and opens by its digit', () => {
    draw(<Page />);
    const entry = within(screen.getByRole('navigation', { name: 'Steps' })).getByRole('button', {
      name: /Hedges/,
    });
    expect(entry.textContent).toContain('9 Hedges12');
    expect(entry.textContent).toContain('to trim34.50');
    expect(screen.queryByText('Hedges: box')).toBeNull();
    fireEvent.keyDown(document.body, { key: '9' });
    expect(screen.getByText('Hedges: box')).toBeTruthy();
    expect(entry.getAttribute('aria-current')).toBe('step');
    expect(location.search).toContain('step=hedges');
  });

  test('the help names it by its digit, and its own keys', () => {
    const keys = roundKeys(STEPS);
    expect(keys[0]).toEqual([
      '1 … 9',
      'step of the round: overview, dead spend, overpaying, room to grow, harvest, negatives, placements, budgets, hedges',
    ]);
    expect(keys).toContainEqual(['q', 'hedges: trim']);
  });

  test('no two steps share a name, and each that decides names what its changes are for', () => {
    expect(new Set(STEPS.map(({ name }) => name)).size).toBe(STEPS.length);
    for (const { money, purpose } of STEPS) expect(purpose === null).toBe(money === null);
  });
});
