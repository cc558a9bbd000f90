import { useState } from 'react';
import { IMPORT_LABELS } from '../../../contract/reportFields';
import type { ImportKind } from '../../../contract/reportFields';
import type { AccountInfo } from '../../../contract/api';
import { exportLink } from '../../shared/api';
import { Choice } from '../../shared/kit';
import type { Option } from '../../shared/kit';

/** Every report and list as a file, in the format in which it is taken in. */
export function ExportList({ account }: { account: AccountInfo }) {
  const [kind, setKind] = useState<ImportKind>('terms');
  return (
    <section aria-label="Export" className="bar spaced">
      <span>Export</span>
      <Choice label="Kind to export" value={kind} onChange={(next) => setKind(next as ImportKind)}>
        {Object.entries(IMPORT_LABELS).map(([name, label]): Option => [name, label])}
      </Choice>
      <span>
        as <a href={exportLink(account.id, kind, 'csv')}>CSV</a> or{' '}
        <a href={exportLink(account.id, kind, 'xlsx')}>XLSX</a>
      </span>
      <span className="faint">A file from here can be imported again as it is.</span>
    </section>
  );
}
