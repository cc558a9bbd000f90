import { useCallback, useEffect, useRef, useState } from 'react';
import { addDays } from '../../../core/units';
import { api } from '../../shared/api';
import type { LoadedLens } from '../../shared/fieldEngine/types';
import { idsOf } from './rowRequest';

const WEEKS = 12;
/** Rows that scroll by are not asked for: only those that stay in sight so long. */
const REST_MS = 120;

/** Spend by week of the rows in sight, asked for as they come into sight. */
export function useSparks(account: number | undefined, loaded: LoadedLens | undefined, isShown: boolean) {
  const known = useRef(new Map<number, number[]>());
  const [, setVersion] = useState(0);
  const [sight, setSight] = useState<number[]>([]);
  useEffect(() => {
    known.current = new Map();
  }, [loaded]);
  useEffect(() => {
    if (!isShown || account === undefined || !loaded) return;
    const missing = sight.filter((row) => !known.current.has(row));
    if (missing.length === 0) return;
    const mine = known.current;
    const timer = setTimeout(() => {
      const to = loaded.window.to;
      const from = addDays(to, 1 - 7 * WEEKS);
      api
        .sparks({ account, ...idsOf(loaded.table, missing), from, to })
        .then(({ spend }) => {
          spend.forEach((days, at) => mine.set(missing[at], weekly(days)));
          setVersion((version) => version + 1);
        })
        .catch(() => {}); // a line that cannot be had stays a sign of waiting
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [account, loaded, sight, isShown]);
  const sparks = useCallback((row: number) => known.current.get(row), []);
  return { sparks, onSight: setSight };
}

function weekly(days: number[]): number[] {
  return Array.from({ length: Math.ceil(days.length / 7) }, (_, week) =>
    days.slice(week * 7, week * 7 + 7).reduce((sum, day) => sum + day, 0),
  );
}
