import { renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { useAnswer } from '../useAnswer';
import { earlyWorker } from './earlyWorker';
import { answeredAhead, askAhead, forgetAhead, loaded, loadedAhead } from './workerLoad';
import { EARLY, WORKER_SCRIPT } from './workerScript';

/** A load with its first question, and what was asked of it. */
function aLoad(loadId: number) {
  const asked: string[] = [];
  const load = {
    key: ['lens', loadId],
    load: async () => (asked.push('load'), { loadId }),
    first: [
      {
        question: { sort: 'spend' },
        ask: async () => (asked.push('first question'), { loadId, rows: ['the first'] }),
      },
    ],
  };
  return { load, asked };
}

describe('what a place shows first', () => {
  test('is asked for once, together with the first question about it, before the page stands', async () => {
    const { load, asked } = aLoad(71);
    askAhead(load);
    expect(loadedAhead(load)).toBeUndefined();
    await waitFor(() => expect(loadedAhead(load)).toEqual({ loadId: 71 }));
    expect(asked).toEqual(['load', 'first question']);
    await loaded(load);
    expect(asked.at(-1)).toBe('load');
  });

  test('is drawn from that answer without another question; other questions are asked, and the first needs no asking again', async () => {
    const { load } = aLoad(72);
    askAhead(load);
    expect(await loaded(load)).toEqual({ loadId: 72 });
    const ask = vi.fn(async (loadId: number, { sort }: { sort: string }) => ({ loadId, rows: [sort] }));
    const { result, rerender } = renderHook(({ sort }) => useAnswer(72, { sort }, ask), {
      initialProps: { sort: 'spend' },
    });
    expect(result.current).toMatchObject({ answer: { rows: ['the first'] }, isCurrent: true });
    rerender({ sort: 'sales' });
    expect(result.current.isCurrent).toBe(false);
    await waitFor(() => expect(result.current.answer?.rows).toEqual(['sales']));
    rerender({ sort: 'spend' });
    await waitFor(() =>
      expect(result.current).toMatchObject({ answer: { rows: ['the first'] }, isCurrent: true }),
    );
    expect(ask).toHaveBeenCalledTimes(1);
  });

  test('is forgotten with the worker that answered it: the next one counts its loads anew', async () => {
    const { load } = aLoad(1);
    askAhead(load);
    const [{ question }] = load.first;
    await waitFor(() => expect(answeredAhead(1, JSON.stringify(question))).toBeDefined());
    forgetAhead();
    expect(answeredAhead(1, JSON.stringify(question))).toBeUndefined();
    expect(loadedAhead(load)).toBeUndefined();
  });

  test('that could not be loaded is told to whoever takes it, and asked for anew after that', async () => {
    const load = vi.fn().mockRejectedValueOnce(new Error('down')).mockResolvedValue({ loadId: 73 });
    askAhead({ key: ['lens', 73], load });
    await expect(loaded({ key: ['lens', 73], load })).rejects.toThrow('down');
    expect(await loaded({ key: ['lens', 73], load })).toEqual({ loadId: 73 });
  });
});

describe('the worker that a page starts before its scripts come', () => {
  class FakeWorker {
    onerror: (() => void) | null = null;
    constructor(
      readonly address: string,
      readonly options: { name: string },
    ) {}
  }
  const page = window as unknown as Record<string, { worker: FakeWorker } | undefined>;
  /** Runs the script as it stands in a page. */
  function start() {
    vi.stubGlobal('Worker', FakeWorker);
    const currentScript = { dataset: { of: 'field', address: '/field.worker-1.js' } };
    // oxlint-disable-next-line no-new-func -- the script is a text of ours
    new Function('document', WORKER_SCRIPT)({ currentScript });
    return page[EARLY]!.worker;
  }
  const another = () => new FakeWorker('another', { name: '' }) as never;
  const take = (name: 'field' | 'review') => earlyWorker(name, another) as unknown as FakeWorker;
  afterEach(() => {
    vi.unstubAllGlobals();
    localStorage.clear();
    delete page[EARLY];
  });

  test('is the one that the place asks, once; another is started for another engine', () => {
    const early = start();
    expect(take('review').address).toBe('another');
    expect(take('field')).toBe(early);
    expect(take('field').address).toBe('another');
  });

  test('knows how the reader writes figures', () => {
    localStorage.setItem('mowing-numbers', '"de-DE"');
    expect(start().options.name).toBe('de-DE');
  });

  test('is left aside when it could not be loaded', () => {
    start().onerror!();
    expect(take('field').address).toBe('another');
  });
});
