import { describe, expect, test } from 'vitest';
import { comparedWindow, middleDay, withWholeSums } from '.';

const OCTOBER = { from: '2026-10-01', to: '2026-10-31' };
const SEPTEMBER = { from: '2026-09-01', to: '2026-09-30' };

describe('figures that came summed over several days', () => {
  test('stand on the day in the middle, so that they are as old as their days are on average', () => {
    expect(middleDay(OCTOBER)).toBe('2026-10-16');
    expect(middleDay({ from: '2026-10-05', to: '2026-10-05' })).toBe('2026-10-05');
  });

  test('are never cut by a window, also where sums of two reports overlap', () => {
    const window = { from: '2026-10-20', to: '2026-11-05' };
    expect(withWholeSums(window, [OCTOBER])).toEqual({ from: '2026-10-01', to: '2026-11-05' });
    expect(withWholeSums(window, [OCTOBER, { from: '2026-09-28', to: '2026-10-04' }]).from).toBe(
      '2026-09-28',
    );
    expect(withWholeSums({ from: '2026-11-01', to: '2026-11-05' }, [OCTOBER]).from).toBe('2026-11-01');
  });

  test('are compared with the sum before them, and with nothing that cuts one', () => {
    const data = { firstDay: '2026-09-01', sums: [SEPTEMBER, OCTOBER] };
    expect(comparedWindow(OCTOBER, data)).toEqual({ ...SEPTEMBER, isCovered: true });
    expect(comparedWindow({ from: '2026-11-01', to: '2026-11-10' }, data)).toMatchObject({
      from: '2026-10-22',
      isCovered: false,
    });
  });
});
