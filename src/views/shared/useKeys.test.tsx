import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../tests/make/page';
import { useKeys } from './useKeys';

let done: string[] = [];
function Page({ extra }: { extra?: string }) {
  const note = (what: string) => () => done.push(what);
  useKeys({
    j: note(`down${extra ?? ''}`),
    'shift+arrowdown': note('grow'),
    'ctrl+a': note('all'),
    r: note('refused'),
    'g r': note('go to the round'),
    space: note('take'),
    '?': note('help'),
  });
  return (
    <>
      <p>text</p>
      <button type="button">press</button>
      <input aria-label="field" />
      <input aria-label="slider" type="range" />
      <div role="dialog">
        <button type="button">inside</button>
      </div>
    </>
  );
}

function page(extra?: string) {
  done = [];
  const drawn = draw(<Page extra={extra} />);
  return {
    ...drawn,
    key: (key: string, over: object = {}, on: Element = document.body) =>
      fireEvent.keyDown(on, { key, ...over }),
  };
}

describe('keys of a view', () => {
  test('act alone, with Ctrl (or the command key) and with Shift', () => {
    const { key } = page();
    key('j');
    key('J', { shiftKey: true });
    key('ArrowDown', { shiftKey: true });
    key('a', { ctrlKey: true });
    key('a', { metaKey: true });
    key('?', { shiftKey: true });
    expect(done).toEqual(['down', 'down', 'grow', 'all', 'all', 'help']);
  });

  test('are left to the browser with Alt, and when nothing is bound to them', () => {
    const { key } = page();
    expect(key('j', { altKey: true })).toBe(true);
    expect(key('y')).toBe(true);
    expect(key('j')).toBe(false);
    expect(done).toEqual(['down']);
  });

  test('in pairs go somewhere; what follows the first never acts by itself', () => {
    const { key } = page();
    key('g');
    key('r');
    key('r');
    key('g');
    key('j');
    key('j');
    expect(done).toEqual(['go to the round', 'refused', 'down']);
  });

  test('are for typing while something is typed, and for the dialog while one is open', () => {
    const { key } = page();
    key('j', {}, screen.getByLabelText('field'));
    key('j', {}, screen.getByText('inside'));
    expect(done).toEqual([]);
  });

  test('that move a slider move it; the others act', () => {
    const { key } = page();
    const slider = screen.getByLabelText('slider');
    key('ArrowDown', { shiftKey: true }, slider);
    key('j', {}, slider);
    expect(done).toEqual(['down']);
  });

  test('that press a button press it', () => {
    const { key } = page();
    key(' ', {}, screen.getByText('press'));
    expect(done).toEqual([]);
    key(' ', {}, screen.getByText('text'));
    expect(done).toEqual(['take']);
  });

  test('do what the view would do now, and nothing when it is gone', () => {
    const { key, unmount } = page('!');
    key('j');
    unmount();
    key('j');
    expect(done).toEqual(['down!']);
  });
});
