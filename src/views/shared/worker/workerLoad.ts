import type { QueryKey } from '@tanstack/react-query';

/** Something that a worker loads and keeps: what it is known by, and how it is asked for. */
export interface WorkerLoad<T> {
  key: QueryKey;
  load: () => Promise<T>;
}

/** A load that is asked for before the page that shows it stands, with the first questions about it. */
export interface AheadLoad<T> extends WorkerLoad<T> {
  /** Asked as soon as the load is there. */
  first?: readonly { question: unknown; ask(loaded: T): Promise<{ loadId: number } | null> }[];
}

interface Asked {
  loading: Promise<unknown>;
  /** Undefined: not here yet. */
  loaded?: unknown;
}

const ahead = new Map<string, Asked>();
const answers = new Map<string, unknown>();
const answerKey = (loadId: number, question: string) => `${loadId} ${question}`;

/** Asks for a load before the page that shows it stands: the worker works while the page's script still comes. */
export function askAhead<T>({ key, load, first = [] }: AheadLoad<T>): void {
  const all = async () => {
    const loaded = await load();
    const answer = async ({ question, ask }: (typeof first)[number]) => {
      // What goes wrong here goes wrong again, and is told, when the page asks.
      const told = await ask(loaded).catch(() => null);
      if (told) answers.set(answerKey(told.loadId, JSON.stringify(question)), told);
    };
    await Promise.all(first.map(answer));
    asked.loaded = loaded;
    return loaded;
  };
  const asked: Asked = { loading: all() };
  asked.loading.catch(() => {}); // told to whoever takes it
  ahead.set(JSON.stringify(key), asked);
}

/** The load, if it was asked for ahead; once: the next is asked for anew. */
export function loaded<T>({ key, load }: WorkerLoad<T>): Promise<T> {
  const name = JSON.stringify(key);
  const asked = ahead.get(name);
  ahead.delete(name);
  return (asked?.loading as Promise<T> | undefined) ?? load();
}

/** The load that was asked for ahead, if it is here already; once, as above. */
export function loadedAhead<T>({ key }: WorkerLoad<T>): T | undefined {
  const name = JSON.stringify(key);
  const here = ahead.get(name)?.loaded as T | undefined;
  if (here !== undefined) ahead.delete(name);
  return here;
}

/** What was answered ahead to a first question about a load. @param question as JSON */
export const answeredAhead = <A>(loadId: number | undefined, question: string): A | undefined =>
  loadId === undefined ? undefined : (answers.get(answerKey(loadId, question)) as A | undefined);

/** A worker that is started anew counts its loads anew: what the one before answered belongs to none of them. */
export function forgetAhead(): void {
  ahead.clear();
  answers.clear();
}
