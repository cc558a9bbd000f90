import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useState } from 'react';
import type { JobInfo } from '../../../contract/api';
import { formatTime } from '../../shared/formatTime';
import type { SyncState } from './useSync';

/** The connection to the market: how up to date, what runs, what failed; and letting days pass on a simulated one. */
export function SyncPanel({ sync }: { sync: SyncState }) {
  const [days, setDays] = useState(7);
  const { data, job, error } = sync;
  const last = data?.jobs.find(({ state }) => ['done', 'failed', 'cancelled'].includes(state));
  return (
    <section
      aria-label="Market"
      style={{ border: '1px solid var(--hairline)', borderRadius: 3, padding: 16 }}
    >
      <div style={{ display: 'flex', gap: 14, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={job !== null || !data} onClick={sync.start}>
          Sync now
        </Button>
        <form
          style={{ display: 'flex', gap: 6, alignItems: 'center' }}
          onSubmit={(event) => {
            event.preventDefault();
            sync.advance(days);
          }}
        >
          <Button type="submit" disabled={job !== null || !data || !(days >= 1 && days <= 60)}>
            Let pass
          </Button>
          <input
            className="figure"
            type="number"
            min={1}
            max={60}
            aria-label="Days to let pass"
            value={days}
            style={{ width: 48 }}
            onChange={(event) => setDays(Number(event.target.value))}
          />
          <span className="faint">days on the simulated market</span>
        </form>
        <span style={{ flex: 1 }} />
        {data && (
          <span className="faint">
            The market’s day is <b style={{ color: 'var(--ink)' }}>{data.marketDay ?? 'not known yet'}</b>
            {data.unsettled.length > 0 &&
              `; orders of the last ${data.unsettled.length} days are still coming in`}
          </span>
        )}
      </div>
      {error && (
        <p role="alert" className="over">
          {error.message}
        </p>
      )}
      {job ? <Running job={job} onCancel={() => sync.cancel(job.id)} /> : last && <Ended job={last} />}
    </section>
  );
}

function Running({ job, onCancel }: { job: JobInfo; onCancel: () => void }) {
  const share = job.total === 0 ? 0 : job.done / job.total;
  const seconds = job.startedAt === null ? 0 : (Date.now() - Date.parse(job.startedAt)) / 1000;
  const left = share > 0.05 && job.state === 'running' ? Math.ceil((seconds / share) * (1 - share)) : null;
  const isWaiting = job.state === 'waiting';
  return (
    <div role="status" style={{ marginTop: 12 }}>
      <LinearProgress
        variant={isWaiting || job.total === 0 ? 'indeterminate' : 'determinate'}
        value={100 * share}
        aria-label="Progress"
      />
      <p
        className={`spread ${isWaiting && job.message !== '' ? 'over' : 'faint'}`}
        style={{ margin: '4px 0 0', alignItems: 'center' }}
      >
        <span>
          {isWaiting && job.message !== ''
            ? `▲ ${job.message} Try ${job.tries + 1} follows at ${formatTime(job.nextTryAt)}.`
            : isWaiting
              ? 'It begins in a moment …'
              : `${job.doing || 'asking the market'} · ${job.done} of ${job.total}${left === null ? '' : `, about ${left} s left`}`}
        </span>
        <Button onClick={onCancel} disabled={job.cancelAsked}>
          {job.cancelAsked ? 'Stops before its next step …' : 'Cancel'}
        </Button>
      </p>
    </div>
  );
}

function Ended({ job }: { job: JobInfo }) {
  const isBad = job.state === 'failed';
  return (
    <p role="status" className={isBad ? 'over' : undefined} style={{ margin: '12px 0 0' }}>
      {isBad ? '▲ ' : ''}
      {job.message} <span className="faint">{job.finishedAt && formatTime(job.finishedAt)}</span>
    </p>
  );
}
