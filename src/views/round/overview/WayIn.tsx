import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useEffect } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { IMPORT_LABELS } from '../../../contract/reportFields';
import type { ImportKind } from '../../../contract/reportFields';
import { useNewData } from '../../shared/revision';
import { useTell } from '../../shared/useTell';
import { pageLink } from '../../shared/frame/pages';
import { MappingForm } from '../../shared/imports/MappingForm';
import { UploadBox } from '../../shared/imports/UploadBox';
import { useImports } from '../../shared/imports/useImports';
import { WHAT_IT_OPENS } from '../../shared/imports/whatItOpens';
import { Facts, PlaceLink } from '../../shared/kit';

const OPENERS = Object.entries(WHAT_IT_OPENS).filter(([, opens]) => opens !== null);

/** An account without figures: how they come in, and what each report opens. */
export function WayIn({ account }: { account: AccountInfo }) {
  const imports = useImports(account.id);
  const { takeOver } = useNewData(account);
  const tell = useTell();
  const { answer } = imports;
  useEffect(() => {
    // Nobody has looked at older figures yet: those that came in are shown at once.
    // Unless columns were left: those may still be matched.
    if (answer?.state !== 'done' || answer.unread.length > 0) return;
    tell(answer.message);
    void takeOver();
  }, [answer, takeOver, tell]);
  return (
    <main className="page" tabIndex={0} aria-label="Overview">
      <h2 className="pageTitle">Bring in the figures of {account.name}</h2>
      <p className="line">
        {account.connected ? (
          <>
            The account is connected:{' '}
            <PlaceLink href={pageLink('setup', account.id)}>fetch its figures from the market</PlaceLink>. Or
            drop a report here.
          </>
        ) : (
          'Drop a report here, or choose a file. Mowing finds out by itself which column is which, and asks where it cannot.'
        )}
      </p>
      <UploadBox imports={imports} />
      {imports.mapping && (
        <MappingForm key={imports.mapping.importId} imports={imports} answer={imports.mapping} />
      )}
      {answer?.state === 'done' && answer.unread.length > 0 && (
        <div className="bar">
          <Button variant="contained" onClick={() => void takeOver()}>
            Show the figures
          </Button>
        </div>
      )}
      <h3 className="part">What each report opens</h3>
      <Facts aria-label="What each report opens">
        <TableHead>
          <TableRow>
            <TableCell>Report or list</TableCell>
            <TableCell>Opens</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {OPENERS.map(([kind, opens]) => (
            <TableRow key={kind}>
              <TableCell sx={{ width: 180 }}>{IMPORT_LABELS[kind as ImportKind]}</TableCell>
              <TableCell>{opens}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </main>
  );
}
