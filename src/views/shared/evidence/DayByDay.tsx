import type { ReactNode } from 'react';
import { DayStrip, Measured } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import type { Sums } from '../../../core/measures';
import { addDays } from '../../../core/units';
import { Fault } from '../kit';
import { whyNoDays } from '../summedDays';
import { WindowsTable } from './WindowsTable';

interface DayByDayProps {
  account: AccountInfo;
  /** Last day with data, and last settled one. */
  last: string;
  settledTo: string;
  /** What is aimed at, and what is left of a sale before ads; shares, null where not known. */
  targetAcos: number | null;
  margin: number | null;
  asked: { data?: { days: (Sums & { day: string })[] }; error: Error | null };
  /** What stands below the strip, told its span and width: marks of changes. */
  marks?: (from: string, to: string, width: number) => ReactNode;
}

const DAYS_SHOWN = 60;

/** A row's days as a strip, and its windows side by side. */
export function DayByDay({ account, last, settledTo, targetAcos, margin, asked, marks }: DayByDayProps) {
  const from = addDays(last, 1 - DAYS_SHOWN);
  const { currency, firstDay } = account;
  // The table beside it looks back 90 days.
  const summed = whyNoDays(account, { from: addDays(last, -89), to: last });
  if (summed !== null) return <p className="faint">{summed}</p>;
  return (
    <>
      <h3 className="panelPart">Day by day: {currency} spend, and orders above it</h3>
      <Fault error={asked.error} />
      {asked.data && (
        <>
          <Measured>
            {(width) => (
              <>
                <DayStrip
                  days={asked.data!.days}
                  from={from}
                  to={last}
                  settledTo={settledTo}
                  width={width}
                  currency={currency}
                />
                {marks?.(from, last, width)}
              </>
            )}
          </Measured>
          <WindowsTable
            days={asked.data.days}
            to={settledTo}
            currency={currency}
            firstDay={firstDay}
            targetAcos={targetAcos}
            margin={margin}
          />
        </>
      )}
    </>
  );
}
