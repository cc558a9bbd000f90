import { Suspense, lazy } from 'react';
import type { DayFieldProps } from './DayPicker';

/** The calendar is a large piece of script: it comes when a day is first asked for. */
const DayPicker = lazy(async () => ({ default: (await import('./DayPicker')).DayPicker }));

/** One day, typed or taken from a calendar. */
export function DayField(props: DayFieldProps) {
  return (
    <Suspense fallback={<span className="dayWait" />}>
      <DayPicker {...props} />
    </Suspense>
  );
}
