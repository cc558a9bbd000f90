import { expose } from 'comlink';

/** Hands an engine to the page that started this worker; `ping` tells the page that it still lives. */
export function exposeEngine(engine: object): void {
  expose({ ...engine, ping: () => true });
}
