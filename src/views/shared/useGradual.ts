import { startTransition, useEffect, useState } from 'react';

/**
 * A list of which the first entries are drawn at once, and the others as soon as those stand: what is heavy to draw and below the edge of
 * the screen keeps nobody waiting. @param first how many are in sight
 */
export function useGradual<T>(list: readonly T[], first: number): readonly T[] {
  const [isWhole, setWhole] = useState(list.length <= first);
  useEffect(() => startTransition(() => setWhole(true)), []);
  return isWhole ? list : list.slice(0, first);
}
