import { useState } from 'react';
import { IMPORT_LABELS } from '../../../contract/reportFields';
import type { ImportKind } from '../../../contract/reportFields';
import type { AccountInfo } from '../../../contract/api';
import { exportLink } from '../../shared/api';

/** Every report and list as a file, in the format in which it is taken in. */
export function ExportList({ account }: { account: AccountInfo }) {
  const [kind, setKind] = useState<ImportKind>('terms');
  return (
    <section aria-label="Export" style={{ display: 'flex', gap: 10, alignItems: 'center', marginTop: 12 }}>
      <label>
        Export{' '}
        <select
          aria-label="Kind to export"
          value={kind}
          onChange={(event) => setKind(event.target.value as ImportKind)}
        >
          {Object.entries(IMPORT_LABELS).map(([name, label]) => (
            <option key={name} value={name}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <span>
        as <a href={exportLink(account.id, kind, 'csv')}>CSV</a> or{' '}
        <a href={exportLink(account.id, kind, 'xlsx')}>XLSX</a>
      </span>
      <span className="faint">What goes out comes in again unchanged.</span>
    </section>
  );
}
