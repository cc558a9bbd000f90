import { fireEvent } from '@testing-library/react';
import { beforeEach, describe, expect, test } from 'vitest';
import { draw } from '../../../../tests/make/page';
import { useKeys } from '../../shared/useKeys';
import { useRowDecisions } from './useRowDecisions';

let done: string[] = [];
function Rows({ row, isCurrent = true, list = 'over' }: { row: string; isCurrent?: boolean; list?: string }) {
  useKeys(
    useRowDecisions(isCurrent, list, {
      space: () => done.push(`accept ${row}`),
      x: () => done.push(`leave ${row}`),
    }),
  );
  return null;
}
const key = (name: string, over: object = {}) => fireEvent.keyDown(document.body, { key: name, ...over });

beforeEach(() => {
  done = [];
});

describe('a key that decides on a row', () => {
  test('decides at once on the row that is shown', () => {
    draw(<Rows row="a" />);
    key(' ');
    key('x');
    expect(done).toEqual(['accept a', 'leave a']);
  });

  test('pressed before the last decision has left the rows waits, and decides on the next row', () => {
    const { rerender } = draw(<Rows row="a" />);
    key(' ');
    rerender(<Rows row="a" isCurrent={false} />);
    key('x');
    expect(done).toEqual(['accept a']);
    rerender(<Rows row="b" />);
    expect(done).toEqual(['accept a', 'leave b']);
  });

  test('pressed several times decides on as many rows, one after the other', () => {
    const { rerender } = draw(<Rows row="a" />);
    rerender(<Rows row="a" isCurrent={false} />);
    key('x');
    key(' ');
    rerender(<Rows row="b" />);
    expect(done).toEqual(['leave b']);
    rerender(<Rows row="b" isCurrent={false} />);
    rerender(<Rows row="c" />);
    expect(done).toEqual(['leave b', 'accept c']);
  });

  test('held down decides on nothing that is still on its way', () => {
    const { rerender } = draw(<Rows row="a" />);
    rerender(<Rows row="a" isCurrent={false} />);
    key('x', { repeat: true });
    rerender(<Rows row="b" />);
    expect(done).toEqual([]);
  });

  test('decides on nothing that nobody has seen: other rows are on their way', () => {
    const { rerender } = draw(<Rows row="a" />);
    rerender(<Rows row="a" isCurrent={false} list="over, clicks ≥ 5" />);
    key('x');
    rerender(<Rows row="z" list="over, clicks ≥ 5" />);
    expect(done).toEqual([]);
    key('x');
    expect(done).toEqual(['leave z']);
  });

  test('decides on nothing before there are any rows', () => {
    const { rerender } = draw(<Rows row="" isCurrent={false} />);
    key('x');
    rerender(<Rows row="a" />);
    expect(done).toEqual([]);
  });

  test('that waits is given up when other rows are asked for', () => {
    const { rerender } = draw(<Rows row="a" />);
    rerender(<Rows row="a" isCurrent={false} />);
    key('x');
    rerender(<Rows row="a" isCurrent={false} list="grow" />);
    rerender(<Rows row="z" list="grow" />);
    expect(done).toEqual([]);
  });
});
