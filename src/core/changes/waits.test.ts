import { describe, expect, test } from 'vitest';
import { partWaiting } from './waits';
import type { Waits } from './waits';

const ids = (list: Waits[]) => list.map(({ id }) => id);
const a = (id: number, afterId: number | null = null, afterState: Waits['afterState'] = null) => ({
  id,
  afterId,
  afterState,
});

describe('what is sent together', () => {
  test('goes with what it waits for, when that goes along', () => {
    const { go, wait } = partWaiting([a(1), a(2, 1, 'staged'), a(3, 2, 'staged')]);
    expect([ids(go), ids(wait)]).toEqual([[1, 2, 3], []]);
  });

  test('stays behind with all that hangs on it, when what it waits for stays in the tray or has no answer', () => {
    const { go, wait } = partWaiting([a(5, 4, 'staged'), a(6, 5, 'staged'), a(8, 7, 'sending'), a(9)]);
    expect([ids(go), ids(wait)]).toEqual([[9], [5, 6, 8]]);
  });

  test('goes when what it waits for was accepted, and goes to be refused when that was refused', () => {
    expect(ids(partWaiting([a(2, 1, 'accepted'), a(4, 3, 'refused')]).go)).toEqual([2, 4]);
  });
});
