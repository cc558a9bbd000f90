import Button from '@mui/material/Button';
import { useState } from 'react';
import type { JobInfo } from '../../../contract/api';
import { formatTime } from '../../shared/formatTime';
import { Fault, NumberField, Progress } from '../../shared/kit';
import { formatCount, formatDay } from '../../../core/units';
import type { SyncState } from './useSync';

/** More days at once the simulated market does not let pass. */
const MOST_DAYS = 60;

/** The connection to the market: how up to date, what runs, what failed; and letting days pass on a simulated one. */
export function SyncPanel({ sync }: { sync: SyncState }) {
  const [days, setDays] = useState(7);
  const { data, job, error } = sync;
  const last = data?.jobs.find(({ state }) => ['done', 'failed', 'cancelled'].includes(state));
  return (
    <section className="framed" aria-label="Market">
      <div className="bar">
        <Button data-may="set-up" variant="contained" disabled={job !== null || !data} onClick={sync.start}>
          Sync now
        </Button>
        <form
          data-may="own"
          className="bar"
          onSubmit={(event) => {
            event.preventDefault();
            sync.advance(days);
          }}
        >
          <Button type="submit" disabled={job !== null || !data}>
            Let pass
          </Button>
          <NumberField
            label="Days to let pass"
            isLabelled={false}
            value={days}
            min={1}
            max={MOST_DAYS}
            step={1}
            unit="days"
            after="on the simulated market"
            onChange={setDays}
          />
        </form>
        <span className="room" />
        {data && (
          <span className="faint">
            The market’s day is{' '}
            <strong>{data.marketDay ? formatDay(data.marketDay) : 'not known yet'}</strong>
            {data.unsettled.length > 0 &&
              `; orders of the last ${data.unsettled.length} days are still coming in`}
          </span>
        )}
      </div>
      <Fault error={error} />
      {job ? <Running job={job} onCancel={() => sync.cancel(job.id)} /> : last && <Ended job={last} />}
    </section>
  );
}

function Running({ job, onCancel }: { job: JobInfo; onCancel: () => void }) {
  const share = job.total === 0 ? 0 : job.done / job.total;
  const seconds = job.startedAt === null ? 0 : (Date.now() - Date.parse(job.startedAt)) / 1000;
  const left = share > 0.05 && job.state === 'running' ? (seconds / share) * (1 - share) : null;
  const isWaiting = job.state === 'waiting';
  return (
    <div role="status" className="spaced">
      <Progress label="Progress" share={isWaiting || job.total === 0 ? null : share} left={left}>
        {isWaiting && job.message !== '' ? (
          <span className="over">
            ▲ {job.message} Try {job.tries + 1} follows at {formatTime(job.nextTryAt)}.
          </span>
        ) : isWaiting ? (
          'Starting …'
        ) : (
          `${job.doing || 'Asking the market'} · ${formatCount(job.done)} of ${formatCount(job.total)}`
        )}
      </Progress>
      <Button data-may="set-up" onClick={onCancel} disabled={job.cancelAsked}>
        {job.cancelAsked ? 'Stopping before its next step …' : 'Cancel'}
      </Button>
    </div>
  );
}

function Ended({ job }: { job: JobInfo }) {
  const isBad = job.state === 'failed';
  return (
    <p role="status" className={isBad ? 'over' : undefined}>
      {isBad ? '▲ ' : ''}
      {job.message} <span className="faint">{job.finishedAt && formatTime(job.finishedAt)}</span>
    </p>
  );
}
