import { Measured, WeekGrid } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import { DAY_NAMES, readWeek, weekWords } from '../../../core/schedules';
import { counted, formatMoney } from '../../../core/units';
import { hourReason } from '../../../plans/hours';
import { EvidenceName } from '../../shared/evidence/EvidenceName';
import { weekPicture } from '../../shared/hours/weekPicture';
import { PlaceLink } from '../../shared/kit';
import { LaterForm } from '../bids/LaterForm';
import { StepEvidence } from '../frame/StepEvidence';
import type { HourWork } from './useHourWork';

interface HourEvidenceProps {
  account: AccountInfo | undefined;
  work: HourWork;
  row: number | null;
}

/** Which week is proposed for the focused campaign, and what it follows now. */
export function HourEvidence({ account, work, row }: HourEvidenceProps) {
  const { loaded, decisions } = work;
  const one = row === null ? undefined : work.rowOf(row);
  return (
    <StepEvidence>
      {account && loaded && row !== null && one ? (
        <>
          <EvidenceName name={loaded.table.name[row]} place={loaded.table.place[row]} />
          <p className="line">{hourReason(one)}</p>
          <div className="bar">
            <LaterForm
              today={account.today}
              onLater={(until) => void decisions.put([one.campaignId], 'later', { until })}
            />
            <PlaceLink href={`/hours?account=${account.id}&of=campaign+${one.campaignId}`}>
              Its hours
            </PlaceLink>
          </div>
          {one.left === null && <Week caption="Proposed" text={one.week} />}
          {one.running && <Week caption={`Now: ${one.running.name}`} text={one.running.week} />}
          <p className="note">
            A month: spend {formatMoney(one.now.spend)} → {formatMoney(one.after.spend)}, sales{' '}
            {formatMoney(one.now.sales)} → {formatMoney(one.after.sales)} {account.currency};{' '}
            {counted(one.orders, 'order')} in its hours.
          </p>
        </>
      ) : null}
    </StepEvidence>
  );
}

/** A week of percentages as a small picture. */
function Week({ caption, text }: { caption: string; text: string }) {
  const week = readWeek(text);
  if (!week) return null;
  return (
    <>
      <h3 className="serif part">{caption}</h3>
      <p className="note">{weekWords(week)}</p>
      <Measured>
        {(width) => (
          <WeekGrid
            caption={`${caption}: bids by weekday and hour, per cent`}
            cells={weekPicture(week)}
            dayNames={DAY_NAMES}
            width={width}
          />
        )}
      </Measured>
    </>
  );
}
