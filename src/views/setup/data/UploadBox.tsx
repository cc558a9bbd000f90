import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useRef, useState } from 'react';
import { formatCount } from '../../../core/units';
import { IMPORT_LABELS, REPORT_LABELS } from '../../../contract/reportFields';
import type { ImportKind } from '../../../contract/reportFields';
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
      style={{
        border: `1px dashed ${isOver ? 'var(--accent)' : 'var(--hairline)'}`,
        borderRadius: 3,
        padding: 18,
        background: isOver ? 'var(--focus)' : 'none',
      }}
    >
      <div style={{ display: 'flex', gap: 16, alignItems: 'center' }}>
        <Button variant="contained" disabled={upload !== null} onClick={() => input.current?.click()}>
          Import a file
        </Button>
        <label>
          What it holds{' '}
          <select
            aria-label="Kind of file"
            value={imports.kind}
            onChange={(event) => imports.setKind(event.target.value as ImportKind)}
          >
            {Object.entries(IMPORT_LABELS).map(([kind, label]) => (
              <option key={kind} value={kind}>
                {label}
                {kind in REPORT_LABELS ? ', by day' : ''}
              </option>
            ))}
          </select>
        </label>
        <span className="faint">
          CSV, TSV or XLSX; or drop the file here. Importing the same file again changes nothing.
        </span>
        <input
          ref={input}
          type="file"
          hidden
          accept=".csv,.tsv,.txt,.xlsx,text/csv"
          aria-label="Report file"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void imports.take(file);
            event.target.value = '';
          }}
        />
      </div>
      {upload && (
        <Progress upload={upload} read={running?.read ?? 0} isWriting={running?.state === 'writing'} />
      )}
      {fault !== '' && (
        <p role="alert" className="over" style={{ marginBottom: 0 }}>
          ▲ {fault}
        </p>
      )}
      {answer && (
        <p role="status" style={{ marginBottom: 0 }} className={answer.state === 'done' ? undefined : 'over'}>
          {answer.state === 'done' ? '' : '▲ '}
          {answer.message}
        </p>
      )}
    </section>
  );
}

function Progress({ upload, read, isWriting }: { upload: Upload; read: number; isWriting: boolean }) {
  const share = upload.size === 0 ? 1 : upload.sent / upload.size;
  const seconds = (Date.now() - upload.startedAt) / 1000;
  const left = share > 0.02 ? Math.ceil((seconds / share) * (1 - share)) : null;
  const at = isWriting
    ? `${formatCount(read)} rows read; writing them …`
    : `${Math.round(share * 100)} % sent, ${formatCount(read)} rows read${left === null || share >= 1 ? '' : `, about ${left} s left`}`;
  return (
    <div style={{ marginTop: 12 }} role="status">
      <LinearProgress
        variant={isWriting || share >= 1 ? 'indeterminate' : 'determinate'}
        value={share * 100}
        aria-label="Import progress"
      />
      <p className="faint" style={{ margin: '4px 0 0' }}>
        {upload.name}: {at}
      </p>
    </div>
  );
}
