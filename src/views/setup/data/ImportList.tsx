import { formatCount } from '../../../core/units';
import type { ImportAnswer } from '../../../contract/api';
import { IMPORT_LABELS } from '../../../contract/reportFields';
import { formatTime } from '../../shared/formatTime';
import type { ImportsState } from './useImports';

const STATES: Record<ImportAnswer['state'], string> = {
  reading: '◌ reading',
  writing: '◌ writing',
  'needs-mapping': '▲ columns to match',
  done: '● done',
  refused: '▲ refused',
};

/** Every import with what became of its rows. */
export function ImportList({ imports }: { imports: ImportsState }) {
  if (imports.error)
    return (
      <p role="alert" className="over">
        {imports.error.message}
      </p>
    );
  return (
    <section aria-label="Imports" style={{ marginTop: 20 }}>
      <h2 className="serif" style={{ margin: '0 0 6px', fontSize: 16, fontWeight: 500 }}>
        Imports
      </h2>
      {imports.list.length === 0 ? (
        <p className="faint">No file was imported yet.</p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th style={{ width: 110 }}>Begun</th>
              <th style={{ width: 140 }}>State</th>
              <th>File and outcome</th>
              <th className="figure">Rows read</th>
              <th className="figure">Kept</th>
              <th className="figure">Unchanged</th>
              <th className="figure">Refused</th>
            </tr>
          </thead>
          <tbody>
            {imports.list.map((one) => (
              <ImportRow key={one.importId} one={one} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function ImportRow({ one }: { one: ImportAnswer }) {
  const isBad = one.state === 'refused' || one.state === 'needs-mapping';
  return (
    <tr>
      <td className="faint">{formatTime(one.startedAt)}</td>
      <td className={isBad ? 'over' : undefined}>{STATES[one.state]}</td>
      <td>
        <div style={{ overflowWrap: 'anywhere' }}>
          {one.file ?? 'sent by a script'}{' '}
          <span className="faint">· {IMPORT_LABELS[one.kind].toLowerCase()}</span>
        </div>
        <div className="faint" style={{ maxWidth: 620 }}>
          {one.message}
        </div>
      </td>
      <td className="figure">{formatCount(one.read)}</td>
      <td className="figure">{formatCount(one.kept)}</td>
      <td className="figure">{formatCount(one.unchanged)}</td>
      <td className="figure">
        {one.refused > 0 ? (
          <a
            href={`/api/imports/${one.importId}/refused.csv?account=${one.account}`}
            title="Lines and reasons as CSV"
          >
            {formatCount(one.refused)}
          </a>
        ) : (
          0
        )}
      </td>
    </tr>
  );
}
