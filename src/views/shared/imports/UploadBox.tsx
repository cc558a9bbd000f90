import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import type { ImportAnswer } from '../../../contract/api';
import { FACTS } from '../../../contract/facts';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import { FIELD_LABELS, IMPORT_LABELS } from '../../../contract/reportFields';
import type { ImportKind, ReportField, ReportKind } from '../../../contract/reportFields';
import { Choice, FilePick, Progress } from '../kit';
import type { Option } from '../kit';
import type { ImportsState, Upload } from './useImports';

/** Takes a report by choosing or dropping a file, and tells how far it is. */
export function UploadBox({ imports }: { imports: ImportsState }) {
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const { upload, running, answer, fault } = imports;
  return (
    <section
      aria-label="Import a report"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const [file] = event.dataTransfer.files;
        if (file) void imports.take(file);
      }}
      className={isOver ? 'drop isOver' : 'drop'}
      data-may="set-up"
    >
      <div className="bar">
        <Button variant="contained" disabled={upload !== null} onClick={() => input.current?.click()}>
          Import a file
        </Button>
        <Choice
          label="Kind of file"
          value={imports.kind}
          onChange={(kind) => imports.setKind(kind as ImportKind)}
        >
          {Object.entries(IMPORT_LABELS).map(([kind, label]): Option => [kind, label])}
        </Choice>
        <span className="faint">
          CSV, TSV or XLSX, reports by day or summed over a period; or drop the file here. The same file again
          changes nothing.
        </span>
        <FilePick
          inputRef={input}
          label="Report file"
          accept=".csv,.tsv,.txt,.xlsx,text/csv"
          onFile={(file) => void imports.take(file)}
        />
      </div>
      {upload && (
        <UploadProgress upload={upload} read={running?.read ?? 0} isWriting={running?.state === 'writing'} />
      )}
      {fault !== '' && (
        <p className="line over" role="alert">
          ▲ {fault}
        </p>
      )}
      {answer && (
        <p role="status" className={answer.state === 'done' ? undefined : 'over'}>
          {answer.state === 'done' ? '' : '▲ '}
          {answer.message}
        </p>
      )}
      {answer && answer.sums.length > 0 && <FileSums answer={answer} />}
      {answer && imports.mapping === null && answer.firstLines.length > 0 && (
        <div className="bar">
          {answer.unread.length > 0 && (
            <Button variant="outlined" onClick={() => imports.setMatching(true)}>
              Match its columns
            </Button>
          )}
          {answer.unread.length === 0 && answer.state === 'refused' && (
            <Button variant="outlined" onClick={() => imports.setMatching(true)}>
              Look at its columns
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

/** What the file sums up to beside what is here of it: one glance tells whether it is what was meant. */
function FileSums({ answer }: { answer: ImportAnswer }) {
  const { figures } = FACTS[answer.kind as ReportKind];
  const unitOf = (field: string) => figures.find((one) => one.field === field)?.unit;
  const show = (field: string, value: number) =>
    unitOf(field) === 'amount' ? formatMoney(value) : formatCount(value);
  return (
    <p className="line" aria-label="Sums of the file">
      {answer.sums.map(({ field, file, kept }) => (
        <span className="oneLine sum" key={field}>
          <span className="faint">{FIELD_LABELS[field as ReportField]}</span>{' '}
          <strong>{show(field, kept)}</strong>
          {kept !== file && <span className="over"> of {show(field, file)} in the file</span>}{' '}
        </span>
      ))}
    </p>
  );
}

function UploadProgress({ upload, read, isWriting }: { upload: Upload; read: number; isWriting: boolean }) {
  const share = upload.size === 0 ? 1 : upload.sent / upload.size;
  const seconds = (Date.now() - upload.startedAt) / 1000;
  const isSent = isWriting || share >= 1;
  const left = !isSent && share > 0.02 ? (seconds / share) * (1 - share) : null;
  const at = isWriting
    ? `${formatCount(read)} rows read; writing them …`
    : `${formatShare(share, 0)} sent, ${formatCount(read)} rows read`;
  return (
    <div className="spaced" role="status">
      <Progress label="Import progress" share={isSent ? null : share} left={left}>
        {upload.name}: {at}
      </Progress>
    </div>
  );
}
