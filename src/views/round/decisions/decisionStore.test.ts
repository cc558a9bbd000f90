import { beforeEach, describe, expect, test } from 'vitest';
import type { AsideVerdict } from '../../../contract/aside';
import type { NewChange } from '../../../contract/changes';
import type { Undoable } from '../../shared/undo/undoStore';
import { DecisionStore } from './decisionStore';

const change = (targetId: number): NewChange => ({
  change: { kind: 'set-bid', targetId, from: 400_000, to: 300_000 },
  reason: 'a test',
  figures: {},
  effect: { spend: 0, sales: 0 },
});
const accepted = (id: number) => ({ subject: `target ${id}`, changes: [change(id)] });

let told: string[];
let staged: NewChange[][];
let undoable: Undoable[];
let verdicts: { subjects: string[]; verdict: AsideVerdict | 'back' }[];
/** Holds an answer back until it is let go, or has it fail. */
let answer: () => Promise<void>;
let store: DecisionStore<{ to: number }>;

beforeEach(() => {
  [told, staged, undoable, verdicts] = [[], [], [], []];
  answer = () => Promise.resolve();
  store = new DecisionStore(() => ({
    noun: 'target',
    stage: async (changes) => {
      staged.push(changes);
      await answer();
      return changes.map((_, at) => (at === 1 ? null : staged.length * 10 + at));
    },
    did: (one) => void undoable.push(one),
    during: (work) => work,
    queue: 'bids',
    putAside: async (subjects, verdict) => {
      verdicts.push({ subjects, verdict });
      await answer();
      return '2026-12-23';
    },
    tell: (sentence) => told.push(sentence),
  }));
});

/** An answer that comes when it is told to. */
function held() {
  let go!: () => void;
  let fail!: (error: Error) => void;
  const promise = new Promise<void>((resolve, reject) => {
    go = resolve;
    fail = reject;
  });
  answer = () => promise;
  return { go, fail };
}

describe('accepted rows', () => {
  test('leave the queue at once', async () => {
    const { go } = held();
    const done = store.accept([accepted(1)]);
    expect(store.snapshot()).toMatchObject({ underWay: ['target 1'], isBusy: true });
    go();
    await done;
    expect(store.snapshot()).toMatchObject({ underWay: [], isBusy: false });
  });

  test('come back where the server refuses them', async () => {
    const { fail } = held();
    const done = store.accept([accepted(1)]);
    fail(new Error('no'));
    await done;
    expect(store.snapshot().underWay).toEqual([]);
  });

  test('go as one request, each waiting for its own first change; what was there already is told', async () => {
    const pair = { subject: 'term', changes: [change(5), { ...change(6), after: 0 }] };
    await store.accept([accepted(1), pair]);
    expect(staged[0].map(({ after }) => after)).toEqual([undefined, undefined, 1]);
    expect(told).toEqual(['1 change staged or under way already.']);
  });
});

describe('rows that are put aside', () => {
  test('are away at once, told with their day, and can come back', async () => {
    const { go } = held();
    const done = store.put(['target 1', 'target 2'], 'left');
    expect([...store.snapshot().ahead.keys()]).toEqual(['target 1', 'target 2']);
    go();
    await done;
    expect(store.snapshot().ahead.size).toBe(0);
    expect(undoable).toEqual([
      {
        words: '2 targets left as they are until 23 Dec',
        undoing: { kind: 'back-in-queue', queue: 'bids', subjects: ['target 1', 'target 2'] },
      },
    ]);
  });

  test('stay where they are when the server refuses it, with its sentence', async () => {
    const { fail } = held();
    const done = store.put(['target 1'], 'later');
    fail(new Error('23 Nov has passed.'));
    await done;
    expect(store.snapshot().ahead.size).toBe(0);
    expect(told).toEqual(['23 Nov has passed.']);
  });

  test('keep the later of two verdicts until that one is answered', async () => {
    const first = held();
    const one = store.put(['target 1'], 'left');
    const second = held();
    const two = store.put(['target 1'], 'accepted-loss', { note: 'rank' });
    first.go();
    await one;
    expect(store.snapshot().ahead.get('target 1')).toMatchObject({ verdict: 'accepted-loss' });
    second.go();
    await two;
    expect(store.snapshot().ahead.size).toBe(0);
  });
});

test('an edit stands until what is proposed is wanted again', () => {
  store.edit('target 1', { to: 5 });
  expect(store.snapshot().edits.get('target 1')).toEqual({ to: 5 });
  store.edit('target 1', null);
  expect(store.snapshot().edits.size).toBe(0);
});
