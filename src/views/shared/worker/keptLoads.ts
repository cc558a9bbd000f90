/**
 * What a worker has loaded, by the number of the load: the last ones stay, so that going back to a place or a step asks for nothing
 * anew. The one that was asked for longest ago goes first.
 * @param most weight of all together; one load is kept whatever it weighs
 */
export function keptLoads<T>(most: number, weigh: (load: T) => number = () => 1) {
  const loads = new Map<number, T>();
  const weight = () => [...loads.values()].reduce((sum, load) => sum + weigh(load), 0);
  return {
    put: (loadId: number, load: T): void => {
      loads.set(loadId, load);
      while (loads.size > 1 && weight() > most) loads.delete(loads.keys().next().value!);
    },
    /** Null: it was let go, or never made. */
    get: (loadId: number): T | null => {
      const load = loads.get(loadId);
      if (load === undefined) return null;
      loads.delete(loadId);
      loads.set(loadId, load);
      return load;
    },
  };
}
