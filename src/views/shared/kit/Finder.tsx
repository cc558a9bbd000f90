import { Suspense, lazy } from 'react';
import type { FinderProps } from './FinderField';

/** It comes when it is first shown: most pages have none. */
const FinderField = lazy(async () => ({ default: (await import('./FinderField')).FinderField }));

/** One of many: found by typing a part of its name. */
export function Finder<T extends string | number>(props: FinderProps<T>) {
  return (
    <Suspense fallback={<span className="dayWait" />}>
      {/* What is chosen is one of the values that were given. */}
      <FinderField {...(props as unknown as FinderProps<string | number>)} />
    </Suspense>
  );
}
