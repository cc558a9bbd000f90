import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useAskedRows } from './useAskedRows';

afterEach(cleanup);

interface Now {
  isAsking: boolean;
  isCurrent: boolean;
  loadId: number | undefined;
  rows: number[];
}

/** The rows asked about, and what becomes of them as the step goes on. */
function ask(first: Partial<Now>) {
  let now: Now = { isAsking: true, isCurrent: true, loadId: 1, rows: [4, 7], ...first };
  const { result, rerender } = renderHook(
    ({ isAsking, isCurrent, loadId, rows }: Now) => useAskedRows(isAsking, isCurrent, loadId, () => rows),
    { initialProps: now },
  );
  return {
    rows: () => result.current,
    then: (next: Partial<Now>) => {
      now = { ...now, ...next };
      rerender(now);
      return result.current;
    },
  };
}

describe('a question about many rows', () => {
  it('comes with the rows that were asked for, not with those of before', () => {
    const step = ask({ isCurrent: false, rows: [1] });
    expect(step.rows()).toBeNull();
    expect(step.then({ isCurrent: true, rows: [4, 7] })).toEqual([4, 7]);
  });

  it('stays, and about the same rows, while newer ones are arranged and when they are', () => {
    const step = ask({});
    expect(step.then({ isCurrent: false })).toEqual([4, 7]);
    expect(step.then({ isCurrent: true, rows: [7] })).toEqual([4, 7]);
  });

  it('is put anew on other data: row numbers mean other targets there', () => {
    const step = ask({});
    expect(step.then({ loadId: undefined, isCurrent: false })).toBeNull();
    expect(step.then({ loadId: 2, isCurrent: true, rows: [3] })).toEqual([3]);
  });

  it('is gone once answered, and asked again it is about what is shown then', () => {
    const step = ask({});
    expect(step.then({ isAsking: false })).toBeNull();
    expect(step.then({ isAsking: true, rows: [9] })).toEqual([9]);
  });
});
