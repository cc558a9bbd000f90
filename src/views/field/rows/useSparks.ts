import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { addDays } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { whyNoDays } from '../../shared/summedDays';
import { api } from '../../shared/api';
import type { LoadedLens } from '../../../plans/field';
import { idsOf } from '../../shared/rowRequest';

const WEEKS = 12;
/** Rows that scroll by are not asked for: only those that stay in sight so long. */
const REST_MS = 120;

/** Spend by week of the rows in sight, asked for as they come to rest in sight. */
export function useSparks(account: AccountInfo, loaded: LoadedLens | undefined) {
  const known = useMemo(() => {
    void loaded; // another load has rows of its own
    return new Map<number, number[]>();
  }, [loaded]);
  // Counts what has arrived: the rows are drawn anew for it, and not while they only scroll by.
  const [version, setVersion] = useState(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), [known]);
  const onSight = useCallback(
    (rows: number[]) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        const missing = rows.filter((row) => !known.has(row));
        if (missing.length === 0 || !loaded) return;
        const { to } = loaded.window;
        const from = addDays(to, 1 - 7 * WEEKS);
        if (whyNoDays(account, { from, to }) !== null) {
          for (const row of missing) known.set(row, []);
          return setVersion((before) => before + 1);
        }
        api
          .sparks({ account: account.id, ...idsOf(loaded.table, missing), from, to })
          .then(({ spend }) => {
            spend.forEach((days, at) => known.set(missing[at], weekly(days)));
            setVersion((before) => before + 1);
          })
          .catch(() => {}); // a line that cannot be had stays a sign of waiting
      }, REST_MS);
    },
    [account, loaded, known],
  );
  const sparks = useCallback(
    (row: number) => {
      void version;
      return known.get(row);
    },
    [known, version],
  );
  return { sparks, onSight };
}

function weekly(days: number[]): number[] {
  return Array.from({ length: Math.ceil(days.length / 7) }, (_, week) =>
    days.slice(week * 7, week * 7 + 7).reduce((sum, day) => sum + day, 0),
  );
}
