import { describe, expect, test } from 'vitest';
import { Turns } from './turns';

const here = new AbortController().signal;

/** Work that ends when it is told to. */
function job(turns: Turns, signal = here) {
  let end!: () => void;
  const ended = new Promise<void>((resolve) => (end = resolve));
  const state = { began: false, answer: '' };
  const done = turns
    .take(signal, async () => {
      state.began = true;
      await ended;
    })
    .then(
      () => (state.answer = 'done'),
      (error: { code: string }) => (state.answer = error.code),
    );
  return { state, end, done };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('requests that are heavy', () => {
  test('are worked on a few at once and in their order; who finds no place is told to come back', async () => {
    const turns = new Turns({ atOnce: 1, waiting: 2, patienceMs: 10_000 });
    const jobs = [job(turns), job(turns), job(turns), job(turns)];
    await settled();
    expect(jobs.map(({ state }) => [state.began, state.answer])).toEqual([
      [true, ''],
      [false, ''],
      [false, ''],
      [false, 'busy'],
    ]);
    jobs[0].end();
    await settled();
    expect(jobs.map(({ state }) => state.began)).toEqual([true, true, false, false]);
  });

  test('lose their place when their client has left or has waited too long, and leave it to the next', async () => {
    const turns = new Turns({ atOnce: 1, waiting: 9, patienceMs: 60 });
    const gone = new AbortController();
    const [first, left, late] = [job(turns), job(turns, gone.signal), job(turns)];
    gone.abort();
    await settled();
    expect(left.state.answer).toBe('busy');
    await late.done;
    expect(late.state.answer).toBe('busy');
    const next = job(turns);
    first.end();
    await settled();
    expect(next.state.began).toBe(true);
  });
});
