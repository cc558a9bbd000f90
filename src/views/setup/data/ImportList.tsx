import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { formatCount } from '../../../core/units';
import type { ImportAnswer } from '../../../contract/api';
import { IMPORT_LABELS } from '../../../contract/reportFields';
import { formatTime } from '../../shared/formatTime';
import type { ImportsState } from '../../shared/imports/useImports';
import { Facts } from '../../shared/kit';

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
    <Box component="section" aria-label="Imports" sx={{ marginTop: '20px' }}>
      <h2 className="pageTitle">Imports</h2>
      {imports.list.length === 0 ? (
        <p className="faint">No file has been imported yet.</p>
      ) : (
        <Facts>
          <TableHead>
            <TableRow>
              <TableCell sx={{ width: 110 }}>Begun</TableCell>
              <TableCell sx={{ width: 140 }}>State</TableCell>
              <TableCell>File and outcome</TableCell>
              <TableCell className="figure">Rows read</TableCell>
              <TableCell className="figure">Kept</TableCell>
              <TableCell className="figure">Unchanged</TableCell>
              <TableCell className="figure">Refused</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {imports.list.map((one) => (
              <ImportRow key={one.importId} one={one} />
            ))}
          </TableBody>
        </Facts>
      )}
    </Box>
  );
}

function ImportRow({ one }: { one: ImportAnswer }) {
  const isBad = one.state === 'refused' || one.state === 'needs-mapping';
  return (
    <TableRow>
      <TableCell className="faint">{formatTime(one.startedAt)}</TableCell>
      <TableCell className={isBad ? 'over' : undefined}>{STATES[one.state]}</TableCell>
      <TableCell>
        <Box sx={{ overflowWrap: 'anywhere' }}>
          {one.file ?? 'sent by a script'}{' '}
          <span className="faint">· {IMPORT_LABELS[one.kind].toLowerCase()}</span>
        </Box>
        <Box className="faint" sx={{ maxWidth: 620 }}>
          {one.message}
        </Box>
      </TableCell>
      <TableCell className="figure">{formatCount(one.read)}</TableCell>
      <TableCell className="figure">{formatCount(one.kept)}</TableCell>
      <TableCell className="figure">{formatCount(one.unchanged)}</TableCell>
      <TableCell className="figure">
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
      </TableCell>
    </TableRow>
  );
}
