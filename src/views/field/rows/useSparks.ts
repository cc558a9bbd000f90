import { useCallback, useEffect, useMemo, useRef } from 'react';
import { addDays } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { whyNoDays } from '../../shared/summedDays';
import { api } from '../../shared/api';
import type { LoadedLens } from '../../../plans/field';
import { idsOf } from '../../shared/rowRequest';

const WEEKS = 12;
/** Rows that scroll by are not asked for: only those that stay in sight so long. */
const REST_MS = 120;

/** Spend by week of rows, as it comes: a line is drawn when it is there, and its row stays as it is. */
export type Sparks = Pick<ReturnType<typeof sparkStore>, 'get' | 'subscribe'>;

/** Spend by week of the rows in sight, asked for as they come to rest in sight. */
export function useSparks(account: AccountInfo, loaded: LoadedLens | undefined) {
  const known = useMemo(() => {
    void loaded; // another load has rows of its own
    return sparkStore();
  }, [loaded]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), [known]);
  const onSight = useCallback(
    (rows: number[]) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        const missing = rows.filter((row) => known.get(row) === undefined);
        if (missing.length === 0 || !loaded) return;
        const { to } = loaded.window;
        const from = addDays(to, 1 - 7 * WEEKS);
        if (whyNoDays(account, { from, to }) !== null) {
          return known.put(missing.map((row) => [row, []]));
        }
        api
          .sparks({ account: account.id, ...idsOf(loaded.table, missing), from, to })
          .then(({ spend }) => {
            known.put(spend.map((days, at) => [missing[at], weekly(days)]));
          })
          .catch(() => {}); // a line that cannot be had stays a sign of waiting
      }, REST_MS);
    },
    [account, loaded, known],
  );
  return { sparks: known, onSight };
}

/** What is known of rows. */
function sparkStore() {
  const known = new Map<number, number[]>();
  const listeners = new Set<() => void>();
  return {
    get: (row: number) => known.get(row),
    put: (more: [row: number, weeks: number[]][]) => {
      for (const [row, weeks] of more) known.set(row, weeks);
      for (const listener of listeners) listener();
    },
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

function weekly(days: number[]): number[] {
  return Array.from({ length: Math.ceil(days.length / 7) }, (_, week) =>
    days.slice(week * 7, week * 7 + 7).reduce((sum, day) => sum + day, 0),
  );
}
