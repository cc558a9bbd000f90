import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { ReportInfo } from '../../../contract/report';
import { addDays, formatDay } from '../../../core/units';
import { formatTime } from '../../shared/formatTime';
import { Ask, DayField, Empty, Facts, Field, Loading, PlaceLink, Trouble } from '../../shared/kit';
import { pageLink } from '../../shared/frame/pages';
import { useTell } from '../../shared/useTell';
import { ReportForm } from './ReportForm';
import { reportLink } from './reportsApi';
import { useReports } from './useReports';

const SHARED_DAYS = 30;

/** Reports for paper: asked for, kept, printed, saved, shown to somebody without an account. */
export function ReportsPart({ account }: { account: AccountInfo }) {
  const state = useReports(account.id);
  const tell = useTell();
  const [shared, setShared] = useState<ReportInfo | null>(null);
  const [until, setUntil] = useState(addDays(account.today, SHARED_DAYS));
  const { answer } = state;
  if (state.error) return <Trouble error={state.error} />;
  if (!answer) return <Loading>Opening the reports …</Loading>;
  if (account.lastDay === null)
    return (
      <Empty
        why="A report tells what the account’s figures say."
        next={<PlaceLink href={pageLink('setup', account.id)}>Bring figures</PlaceLink>}
      >
        There is nothing to report yet.
      </Empty>
    );
  const copy = (path: string) =>
    void navigator.clipboard
      .writeText(new URL(path, location.href).href)
      .then(() => tell('The link is copied.'))
      .catch(() => tell(`Copy it by hand: ${new URL(path, location.href).href}`, { kind: 'warning' }));
  return (
    <>
      <h1 className="pageTitle">Reports</h1>
      <p className="line">
        Made for paper: open one and print it, or save it as PDF. The last twelve are kept as they were told.
      </p>
      <ReportForm account={account} answer={answer} state={state} />
      {answer.reports.length === 0 ? (
        <p className="faint">No report is kept yet.</p>
      ) : (
        <Facts aria-label="Kept reports">
          <TableHead>
            <TableRow>
              <TableCell>Days</TableCell>
              <TableCell>Made</TableCell>
              <TableCell>Open or save</TableCell>
              <TableCell>Shown to others</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {answer.reports.map((one) => (
              <TableRow key={one.id}>
                <TableCell>
                  <strong>
                    {formatDay(one.from)} – {formatDay(one.to)}
                  </strong>
                </TableCell>
                <TableCell>
                  {formatTime(one.madeAt)}
                  {one.template !== null && <span className="faint"> by itself, {one.template}</span>}
                </TableCell>
                <TableCell>
                  <Button href={reportLink(account.id, one.id)} target="_blank">
                    Open
                  </Button>
                  <Button href={reportLink(account.id, one.id, { save: 'true' })}>HTML</Button>
                  <Button href={reportLink(account.id, one.id, { format: 'xlsx' })}>XLSX</Button>
                </TableCell>
                <TableCell>
                  {one.links.map((link) => (
                    <div key={link.id}>
                      to the end of {formatDay(link.until)}{' '}
                      <Button onClick={() => copy(link.path)}>Copy the link</Button>
                      <Button onClick={() => state.takeBack.mutate(link.id)}>Take it back</Button>
                    </div>
                  ))}
                  <Button onClick={() => setShared(one)}>Make a link …</Button>
                </TableCell>
                <TableCell className="figure">
                  <Button
                    aria-label={`Remove the report of ${formatDay(one.to)}`}
                    onClick={() => state.remove.mutate(one.id)}
                  >
                    Remove
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      {shared && (
        <Ask
          title="Show the report to somebody without an account"
          does="Make the link"
          isOff={until <= account.today}
          onDone={(isWanted) => {
            if (isWanted)
              state.share.mutate({ report: shared.id, until }, { onSuccess: ({ path }) => copy(path) });
            setShared(null);
          }}
        >
          <div className="formGrid">
            <Field label="To the end of">
              <DayField
                label="To the end of"
                value={until}
                min={addDays(account.today, 1)}
                onChange={setUntil}
              />
            </Field>
            <p className="note">
              Whoever has the link sees this one report and nothing else, where this application can be
              reached. You can take it back at any time.
            </p>
          </div>
        </Ask>
      )}
    </>
  );
}
