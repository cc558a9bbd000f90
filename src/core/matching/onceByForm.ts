import { matchForm } from './matchForm';

/** A list with each text once, as it was spelt first: what the market does not tell apart counts as one. */
export function onceByForm<T>(list: readonly T[], textOf: (one: T) => string, kindOf = (_: T) => ''): T[] {
  const seen = new Set<string>();
  return list.filter((one) => {
    const key = `${kindOf(one)} ${matchForm(textOf(one))}`;
    return !seen.has(key) && seen.add(key);
  });
}
