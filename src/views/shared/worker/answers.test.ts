import { once } from 'node:events';
import { MessageChannel } from 'node:worker_threads';
import { transferHandlers } from 'comlink';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answersTravelLight } from './answers';

const ROWS = 2000;

afterEach(() => vi.unstubAllGlobals());

const answerOf = () => ({
  loadId: 7,
  note: 'as it is',
  rows: Int32Array.from({ length: ROWS }, (_, row) => ROWS - row),
  table: {
    size: ROWS,
    name: Array.from({ length: ROWS }, (_, row) => `term ${row}`),
    kind: Array.from({ length: ROWS }, (_, row) => (row % 2 === 0 ? 'exact' : 'broad')),
    now: { clicks: Float64Array.from({ length: ROWS }, (_, row) => row / 4) },
    short: Float64Array.of(1, NaN),
  },
});

/** An answer as it comes out on the page's side. */
async function travel(answer: object): Promise<ReturnType<typeof answerOf>> {
  answersTravelLight();
  const handler = transferHandlers.get('answer')!;
  expect(handler.canHandle(answer)).toBe(true);
  const { port1, port2 } = new MessageChannel();
  const arrived = once(port2, 'message');
  port1.postMessage(handler.serialize(answer)[0]);
  const [sent] = (await arrived) as [unknown];
  port1.close();
  return handler.deserialize(sent) as ReturnType<typeof answerOf>;
}

describe('an answer of a worker', () => {
  it('comes out as it went in, texts and columns alike', async () => {
    expect(await travel(answerOf())).toEqual(answerOf());
  });

  it('does so without a table too', async () => {
    const { table, ...rest } = answerOf();
    expect(table.size).toBe(ROWS);
    expect(await travel({ ...rest })).toEqual(rest);
  });

  it('shares its long columns where the browser allows it, instead of copying them', async () => {
    vi.stubGlobal('crossOriginIsolated', true);
    const answer = answerOf();
    const arrived = await travel(answer);
    expect(arrived).toEqual(answerOf());
    answer.table.now.clicks[3] = -1;
    answer.rows[0] = 99;
    expect(arrived.table.now.clicks[3]).toBe(-1);
    expect(arrived.rows[0]).toBe(99);
    answer.table.short[0] = 5;
    expect(arrived.table.short[0]).toBe(1);
  });

  it('is handed over a second time from the same memory', async () => {
    vi.stubGlobal('crossOriginIsolated', true);
    const answer = answerOf();
    const first = await travel(answer);
    const second = await travel(answer);
    first.rows[1] = 5;
    expect(second.rows[1]).toBe(5);
  });
});
