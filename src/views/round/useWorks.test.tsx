import { cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test } from 'vitest';
import { USUAL_PLAN_CHOICES } from '../../contract/choices';
import type { PlanChoices } from '../../contract/choices';
import type { RoundAt, RoundStep, WorkState } from './steps/step';
import { useWorks } from './useWorks';

afterEach(cleanup);

/** A round of two steps: `asked` tells, by step, at which pace each was asked last, and whether it is to be loaded. */
function round() {
  const asked: Record<string, { pace: string; isWanted: boolean }> = {};
  /** Every pace that a step beside was to be loaded at. */
  const loadedAt = new Set<string>();
  const works: Record<string, WorkState> = {};
  const stepOf = (name: string) => {
    works[name] = { left: [], staged: {}, hasData: true, isCurrent: false };
    const useWork = ({ state, isWanted }: RoundAt & { isWanted: boolean }) => {
      asked[name] = { pace: state.choices.choices.bids.pace, isWanted };
      if (name === 'budgets' && isWanted) loadedAt.add(asked[name].pace);
      return works[name];
    };
    return { name, work: { useWork } } as unknown as RoundStep;
  };
  const steps = [stepOf('dead'), stepOf('budgets')];
  const at = (pace: PlanChoices['bids']['pace'], step = 'dead') => {
    const choices: PlanChoices = { ...USUAL_PLAN_CHOICES, bids: { ...USUAL_PLAN_CHOICES.bids, pace } };
    return { state: { step, choices: { choices } } } as unknown as RoundAt;
  };
  const { rerender } = renderHook((now: RoundAt) => useWorks(steps, now), { initialProps: at('steady') });
  return {
    asked,
    loadedAt,
    show: (pace: PlanChoices['bids']['pace'], own: Partial<WorkState>, step = 'dead') => {
      works[step] = { ...works[step], ...own };
      rerender(at(pace, step));
    },
  };
}
const THERE = { left: [{ step: 'dead', left: 3, money: 0 }], isCurrent: true };

describe('the steps of a round are worked out', () => {
  test('beside the one that is looked at once that stands', async () => {
    const { asked, show } = round();
    expect(asked).toEqual({
      dead: { pace: 'steady', isWanted: true },
      budgets: { pace: 'steady', isWanted: false },
    });
    show('steady', THERE);
    await waitFor(() => expect(asked.budgets.isWanted).toBe(true));
  });

  test('at another pace when the one that is looked at has followed it, which is at once', async () => {
    const { asked, show } = round();
    show('steady', THERE);
    show('brisk', { isCurrent: false });
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(asked.dead.pace).toBe('brisk');
    expect(asked.budgets.pace).toBe('steady');
    show('brisk', { isCurrent: true });
    await waitFor(() => expect(asked.budgets.pace).toBe('brisk'));
  });

  test('never at what stood before the account’s own choices were known', async () => {
    const { loadedAt, show } = round();
    show('brisk', THERE);
    await waitFor(() => expect([...loadedAt]).toEqual(['brisk']));
  });

  test('at the present pace when one is turned to', () => {
    const { asked, show } = round();
    show('steady', THERE);
    show('brisk', { isCurrent: false });
    show('brisk', { isCurrent: false }, 'budgets');
    expect(asked.budgets.pace).toBe('brisk');
  });

  test('without waiting for one that has nothing to go over', async () => {
    const { asked, show } = round();
    show('brisk', { hasData: false });
    await waitFor(() => expect(asked.budgets.pace).toBe('brisk'));
  });
});
