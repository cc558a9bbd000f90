import { useSyncExternalStore } from 'react';
import { Spark } from '../../shared/evidence/marks';
import type { Sparks } from './useSparks';

/** The line of a row's spend by week, once it is there. */
export function RowSpark({ sparks, row }: { sparks: Sparks; row: number }) {
  const values = useSyncExternalStore(
    sparks.subscribe,
    () => sparks.get(row),
    () => undefined,
  );
  return <Spark values={values} />;
}
