import type { QueryKey } from '@tanstack/react-query';

/** Something that a worker loads and keeps: what it is known by, and how it is asked for. */
export interface WorkerLoad<T> {
  key: QueryKey;
  load: () => Promise<T>;
}

const ahead = new Map<string, Promise<unknown>>();

/** Asks for a load before the page that shows it stands: the worker works while the page's script still comes. */
export function askAhead<T>({ key, load }: WorkerLoad<T>): void {
  const asked = load();
  asked.catch(() => {}); // told to whoever takes it
  ahead.set(JSON.stringify(key), asked);
}

/** The load, if it was asked for ahead; once: the next is asked for anew. */
export function loaded<T>({ key, load }: WorkerLoad<T>): Promise<T> {
  const name = JSON.stringify(key);
  const asked = ahead.get(name) as Promise<T> | undefined;
  ahead.delete(name);
  return asked ?? load();
}
