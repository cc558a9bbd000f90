const last = new Map<string, Promise<unknown>>();

/**
 * Does works of one name one after another, in the order in which they were asked for: answers come in order too. One that fails holds up
 * none behind it.
 * @param work is told whether none waits behind it, once it is done: an answer that an edit has overtaken is not shown
 */
export function inTurn<T>(name: string, work: (isLast: () => boolean) => Promise<T>): Promise<T> {
  const before = last.get(name) ?? Promise.resolve();
  const mine: Promise<T> = before.catch(() => {}).then(() => work(() => last.get(name) === mine));
  last.set(name, mine);
  const end = () => {
    if (last.get(name) === mine) last.delete(name);
  };
  mine.then(end, end);
  return mine;
}
