import { describe, expect, test } from 'vitest';
import { keptLoads } from './keptLoads';

describe('what a worker has loaded', () => {
  test('stays up to a weight; the one asked for longest ago goes first', () => {
    const { put, get } = keptLoads<string>(10, (load) => load.length);
    put(1, 'aaaa');
    put(2, 'bbbb');
    expect(get(1)).toBe('aaaa');
    put(3, 'cccc');
    expect([get(1), get(2), get(3)]).toEqual(['aaaa', null, 'cccc']);
  });

  test('stays whatever it weighs, for as long as it is the only one', () => {
    const { put, get } = keptLoads<string>(3, (load) => load.length);
    put(1, 'a very large account');
    expect(get(1)).toBe('a very large account');
    put(2, 'b');
    expect([get(1), get(2)]).toEqual([null, 'b']);
  });
});
