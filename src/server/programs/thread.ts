// A thread beside the application: what is asked of a large account takes seconds, and keeps nobody waiting who asks for something else.
// It reads no database: what it does not know yet comes with the question.
import { LRUCache } from 'lru-cache';
import Tinypool from 'tinypool';
import { pack } from '../../contract/packed';
import { showMoneyBy } from '../../core/units';
import type { ThreadAsked } from '../threads/askThread';
import { ENGINES } from '../threads/engines';
import type { EngineName } from '../threads/engines';

/** Of any engine: the question comes with the name of the one that it is for. */
interface AnyEngine {
  keep: (from: unknown) => object;
  most: number;
  weigh: (kept: object) => number;
  answer: (kept: object, question: string, asked: unknown) => object;
}

/** What is known of a subject, in the last state that it was told in. */
interface Known {
  stamp: string;
  kept: object;
}

const MOST_ACCOUNTS = 50;
const memories = new Map<EngineName, LRUCache<string, Known>>();

function memoryOf(engine: EngineName): LRUCache<string, Known> {
  const { most, weigh } = ENGINES[engine] as AnyEngine;
  const memory =
    memories.get(engine) ??
    new LRUCache<string, Known>({
      max: MOST_ACCOUNTS,
      maxSize: most,
      sizeCalculation: ({ kept }) => Math.min(most, weigh(kept) + 1),
    });
  memories.set(engine, memory);
  return memory;
}

/** Answers a question, packed; null where the account is not known in that state: then it has to come along. */
export default function answer({
  engine,
  key,
  stamp,
  from,
  question,
  asked,
  currency,
}: ThreadAsked): unknown {
  showMoneyBy(() => currency);
  const { keep, answer: told } = ENGINES[engine] as AnyEngine;
  const memory = memoryOf(engine);
  let known = memory.get(key);
  if (known?.stamp !== stamp) {
    if (!from) return null;
    // Of an older state nothing is asked any more: it goes before there is another.
    memory.delete(key);
    known = { stamp, kept: keep(from) };
    memory.set(key, known);
  }
  return Tinypool.move(pack(told(known.kept, question, asked)));
}
