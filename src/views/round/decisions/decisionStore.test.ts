import { beforeEach, describe, expect, test } from 'vitest';
import type { AsideVerdict } from '../../../contract/aside';
import type { NewChange } from '../../../contract/changes';
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
let withdrawn: number[][];
let verdicts: { subjects: string[]; verdict: AsideVerdict | 'back' }[];
/** Holds an answer back until it is let go, or has it fail. */
let answer: () => Promise<void>;
let store: DecisionStore<{ to: number }>;

beforeEach(() => {
  [told, staged, withdrawn, verdicts] = [[], [], [], []];
  answer = () => Promise.resolve();
  store = new DecisionStore(() => ({
    noun: 'target',
    stage: async (changes) => {
      staged.push(changes);
      await answer();
      return changes.map((_, at) => (at === 1 ? null : staged.length * 10 + at));
    },
    withdraw: async (ids) => {
      withdrawn.push(ids);
      await answer();
    },
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
  test('leave the queue at once, and are taken out of the tray again by undo', async () => {
    const { go } = held();
    const done = store.accept([accepted(1)]);
    expect(store.snapshot()).toMatchObject({ underWay: ['target 1'], isBusy: true });
    go();
    await done;
    expect(store.snapshot()).toMatchObject({ underWay: [], isBusy: false });
    await store.undo();
    expect(withdrawn).toEqual([[10]]);
    expect(told).toEqual(['1 change taken out of the tray.']);
  });

  test('come back where the server refuses them, and there is nothing to undo', async () => {
    const { fail } = held();
    const done = store.accept([accepted(1)]);
    fail(new Error('no'));
    await done;
    expect(store.snapshot().underWay).toEqual([]);
    await store.undo();
    expect(told).toEqual(['Nothing to undo on this page.']);
  });

  test('go as one request, each waiting for its own first change; what was there already is told', async () => {
    const pair = { subject: 'term', changes: [change(5), { ...change(6), after: 0 }] };
    await store.accept([accepted(1), pair]);
    expect(staged[0].map(({ after }) => after)).toEqual([undefined, undefined, 1]);
    expect(told).toEqual(['1 change staged or under way already.']);
    await store.undo();
    expect(withdrawn).toEqual([[10, 12]]);
  });
});

describe('rows that are put aside', () => {
  test('are away at once, told with their day, and back by undo', async () => {
    const { go } = held();
    const done = store.put(['target 1', 'target 2'], 'left');
    expect([...store.snapshot().ahead.keys()]).toEqual(['target 1', 'target 2']);
    go();
    await done;
    expect(store.snapshot().ahead.size).toBe(0);
    expect(told).toEqual(['2 targets left as they are until 23 Dec. u takes it back.']);
    await store.undo();
    expect(verdicts.at(-1)).toEqual({ subjects: ['target 1', 'target 2'], verdict: 'back' });
    expect(told.at(-1)).toBe('2 targets back in the queue.');
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

test('an undo that is refused can be tried again; the last decision goes first', async () => {
  await store.accept([accepted(1)]);
  await store.put(['target 2'], 'left');
  const { fail } = held();
  const refused = store.undo();
  fail(new Error('down'));
  await refused;
  answer = () => Promise.resolve();
  await store.undo();
  await store.undo();
  expect(verdicts.map(({ verdict }) => verdict)).toEqual(['left', 'back', 'back']);
  expect(withdrawn).toEqual([[10]]);
});

test('an undo that is pressed before a decision is answered takes that decision back', async () => {
  await store.put(['target 1'], 'left');
  const { go } = held();
  const later = store.put(['target 2'], 'later');
  const undone = store.undo();
  go();
  await Promise.all([later, undone]);
  expect(verdicts.at(-1)).toEqual({ subjects: ['target 2'], verdict: 'back' });
});

test('an edit stands until what is proposed is wanted again', () => {
  store.edit('target 1', { to: 5 });
  expect(store.snapshot().edits.get('target 1')).toEqual({ to: 5 });
  store.edit('target 1', null);
  expect(store.snapshot().edits.size).toBe(0);
});
