import Badge from '@mui/material/Badge';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { PickerDay } from '@mui/x-date-pickers/PickerDay';
import type { PickerDayProps } from '@mui/x-date-pickers/PickerDay';
import dayjs from 'dayjs';
import { useEffect, useRef, useState } from 'react';
import type { Dayjs } from 'dayjs';
import { isDay } from '../../../core/units';
import type { Day } from '../../../core/units';
import { readerLocale } from '../reader';

export interface DayFieldProps {
  label: string;
  value: Day;
  min?: Day;
  max?: Day;
  /** Days whose orders are still coming in: marked in the calendar. */
  unsettled?: readonly Day[];
  isWrong?: boolean;
  onChange: (day: Day) => void;
  /** It may be emptied. */
  onNone?: () => void;
}

const ISO = 'YYYY-MM-DD';
/** 2026-11-22 was a Sunday: the days of a week begin with it in the library's lists. */
const A_SUNDAY = Date.UTC(2026, 10, 22);
const DAY_MS = 86_400_000;

/** The names of months and days in the reader's language; weeks begin on Monday. */
function calendarLocale(language: string) {
  const named = (options: Intl.DateTimeFormatOptions, count: number, at: (index: number) => number) => {
    const names = new Intl.DateTimeFormat(language, { ...options, timeZone: 'UTC' });
    return Array.from({ length: count }, (_, index) => names.format(at(index)));
  };
  const months = (month: 'long' | 'short') => named({ month }, 12, (index) => Date.UTC(2026, index, 1));
  const weekdays = (weekday: 'long' | 'short') => named({ weekday }, 7, (index) => A_SUNDAY + index * DAY_MS);
  return {
    name: 'reader',
    weekStart: 1,
    months: months('long'),
    monthsShort: months('short'),
    weekdays: weekdays('long'),
    weekdaysShort: weekdays('short'),
    weekdaysMin: weekdays('short'),
    formats: { LT: 'HH:mm', LTS: 'HH:mm:ss', L: 'DD/MM/YYYY', LL: 'D MMMM YYYY', LLL: '', LLLL: '' },
    relativeTime: {},
    ordinal: (day: number) => String(day),
  } as unknown as ILocale;
}

// Once: another language comes with another load of the page.
const LOCALE = dayjs.locale(calendarLocale(readerLocale()), undefined, true);

/** A day of the calendar, marked where its orders are still coming in. */
function DayMark({ unsettled, ...props }: PickerDayProps & { unsettled: readonly Day[] }) {
  const isUnsettled = unsettled.includes(props.day.format(ISO));
  return (
    <Badge
      variant="dot"
      color="warning"
      overlap="circular"
      invisible={!isUnsettled}
      title={isUnsettled ? 'Orders of this day are still coming in' : undefined}
    >
      <PickerDay {...props} />
    </Badge>
  );
}

/** One day, typed or taken from a calendar. */
export function DayPicker({
  label,
  value,
  min,
  max,
  unsettled = [],
  isWrong,
  onChange,
  onNone,
}: DayFieldProps) {
  const written = (day: string) => (day === '' ? null : dayjs(day));
  // What is half typed is no day yet: the field keeps it by itself until it is one, or another day is set from outside.
  const [shown, setShown] = useState<Dayjs | null>(() => written(value));
  const told = useRef(value);
  useEffect(() => {
    if (value === told.current) return;
    told.current = value;
    setShown(written(value));
  }, [value]);
  const take = (next: Dayjs | null) => {
    setShown(next);
    if (next === null && onNone) {
      told.current = '';
      onNone();
      return;
    }
    // While a year is typed it is the year 2, then 20, then 202.
    const day = next?.isValid() ? next.format(ISO) : '';
    if (!isDay(day)) return;
    told.current = day;
    onChange(day);
  };
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs} adapterLocale={LOCALE}>
      <span
        role="group"
        aria-label={label}
        onBlur={({ currentTarget, relatedTarget }) => {
          // Left half typed, it shows the day that counts again.
          if (!currentTarget.contains(relatedTarget) && !shown?.isValid()) setShown(written(told.current));
        }}
      >
        <DatePicker
          value={shown}
          minDate={min === undefined ? undefined : dayjs(min)}
          maxDate={max === undefined ? undefined : dayjs(max)}
          format="D MMM YYYY"
          onChange={take}
          slots={{ day: DayMark as never }}
          slotProps={{
            field: { clearable: onNone !== undefined },
            day: { unsettled } as never,
            textField: { size: 'small', error: isWrong },
            openPickerButton: { 'aria-label': `${label}: calendar` },
          }}
          sx={{ width: 132 }}
        />
      </span>
    </LocalizationProvider>
  );
}
