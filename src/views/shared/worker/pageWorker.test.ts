import { expose } from 'comlink';
import { describe, expect, test } from 'vitest';
import { pageWorker, tryWorkersAgain, WorkerFailed } from './pageWorker';

interface Engine {
  double: (value: number) => number;
  stop: () => never;
  never: () => Promise<string>;
}

/** A worker's side of the line without its thread; one that is `deaf` hears nothing. */
function aWorker({ deaf = false } = {}) {
  const { port1, port2 } = new MessageChannel();
  const events = new EventTarget();
  const engine = {
    double: (value: number) => value * 2,
    stop: () => {
      throw new Error('no such window');
    },
    never: () => new Promise<string>(() => {}),
    ping: () => true,
  };
  if (!deaf) expose(engine, port2 as never);
  const worker = Object.assign(port1, { terminate: () => (port1.close(), port2.close()) });
  const listen = port1.addEventListener.bind(port1);
  worker.addEventListener = ((type: string, ...rest: [never, never]) =>
    type === 'message' ? listen(type, ...rest) : events.addEventListener(type, ...rest)) as never;
  const breaks = (message: string) => events.dispatchEvent(Object.assign(new Event('error'), { message }));
  return { worker: worker as never, breaks };
}

const QUICK = { pingMs: 10, silentMs: 60 };

describe('the page’s worker', () => {
  test('answers, and tells an error of its own as it is', async () => {
    const { worker } = aWorker();
    const engine = pageWorker<Engine>(() => worker, QUICK);
    expect(await engine.double(21)).toBe(42);
    await expect(engine.stop()).rejects.toThrow('no such window');
    (worker as Worker).terminate();
  });

  test('fails all who wait when it breaks, and is started anew when it is tried again', async () => {
    const made = [aWorker(), aWorker()];
    let starts = 0;
    const engine = pageWorker<Engine>(() => made[starts++].worker, QUICK);
    const waiting = [engine.never(), engine.never()];
    made[0].breaks('out of memory');
    for (const one of waiting)
      await expect(one).rejects.toThrow(new WorkerFailed('The computation stopped: out of memory.'));
    await expect(engine.double(4)).rejects.toThrow('out of memory');
    tryWorkersAgain();
    expect(await engine.double(4)).toBe(8);
    expect(starts).toBe(2);
    (made[1].worker as Worker).terminate();
  });

  test('that went silent is given up; one that is only slow is waited for', async () => {
    const deaf = pageWorker<Engine>(() => aWorker({ deaf: true }).worker, QUICK);
    await expect(deaf.double(1)).rejects.toThrow('has not answered');
    const { worker } = aWorker();
    const slow = pageWorker<Engine>(() => worker, QUICK);
    const answered = slow.never().then(
      () => 'answered',
      () => 'given up',
    );
    // The page itself is held up for longer than the worker may be silent, which is not the worker's fault.
    setTimeout(
      () => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, QUICK.silentMs * 2),
      QUICK.pingMs,
    );
    const later = new Promise((resolve) => setTimeout(() => resolve('still waits'), QUICK.silentMs * 4));
    expect(await Promise.race([answered, later])).toBe('still waits');
    (worker as Worker).terminate();
  });
});
