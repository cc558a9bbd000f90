import { describe, expect, test } from 'vitest';
import { UndoStore } from './undoStore';
import type { Undoable, Undoing } from './undoStore';

const taking = (id: number): Undoable => ({
  words: `change ${id} accepted`,
  undoing: { kind: 'take-out', ids: [id] },
});

/** A store on a shelf that outlives it, and what was asked to undo. */
function begin(shelf: Undoable[] = []) {
  const store = new UndoStore({
    read: () => [...shelf],
    write: (list) => shelf.splice(0, shelf.length, ...list),
  });
  const asked: Undoing[] = [];
  const run = async (undoing: Undoing) => asked.push(undoing) > 0;
  return { store, shelf, asked, run };
}

describe('what was done', () => {
  test('is undone the last first, wherever it was done', async () => {
    const { store, asked, run } = begin();
    store.did(taking(1));
    store.did({
      words: '2 terms left',
      undoing: { kind: 'back-in-queue', queue: 'harvest', subjects: ['a'] },
    });
    expect((await store.undo(run))?.one.words).toBe('2 terms left');
    expect((await store.undo(run))?.one.words).toBe('change 1 accepted');
    expect(await store.undo(run)).toBeNull();
    expect(asked.map(({ kind }) => kind)).toEqual(['back-in-queue', 'take-out']);
  });

  test('can be undone after the page was loaded again', async () => {
    const { store, shelf } = begin();
    store.did(taking(1));
    const { store: later, asked, run } = begin(shelf);
    await later.undo(run);
    expect(asked).toEqual([{ kind: 'take-out', ids: [1] }]);
    expect(shelf).toEqual([]);
  });

  test('can be undone by its own notice, out of turn and once', async () => {
    const { store, asked, run } = begin();
    const [first, second] = [taking(1), taking(2)];
    store.did(first);
    store.did(second);
    await store.undo(run, first);
    expect(await store.undo(run, first)).toBeNull();
    await store.undo(run);
    expect(asked).toEqual([first.undoing, second.undoing]);
  });

  test('stays undoable, in its turn, when the server refuses', async () => {
    const { store, asked, run } = begin();
    store.did(taking(1));
    store.did(taking(2));
    await expect(store.undo(() => Promise.reject(new Error('down')))).rejects.toThrow('down');
    await store.undo(run);
    expect(asked).toEqual([{ kind: 'take-out', ids: [2] }]);
  });

  test('and is gone by now is said to be, and not tried again', async () => {
    const { store, run } = begin();
    store.did(taking(1));
    expect(await store.undo(async () => false)).toMatchObject({ isDone: false });
    expect(await store.undo(run)).toBeNull();
  });

  test('and is not answered yet is waited for', async () => {
    const { store, asked, run } = begin();
    store.did(taking(1));
    let answer!: () => void;
    const work = store.during(
      new Promise<void>((resolve) => (answer = resolve)).then(() => store.did(taking(2))),
    );
    const undone = store.undo(run);
    answer();
    await work;
    expect((await undone)?.one.words).toBe('change 2 accepted');
    expect(asked).toEqual([{ kind: 'take-out', ids: [2] }]);
  });
});
