import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import type { PeopleAnswer } from '../../../contract/people';
import { formatTime } from '../../shared/formatTime';
import { Facts } from '../../shared/kit';

/** What happened at the door, newest first: for whoever owns everything. */
export function DoorLog({ lines }: { lines: PeopleAnswer['log'] }) {
  return (
    <section className="apart" aria-label="At the door">
      <h2 className="pageTitle">At the door</h2>
      <Facts aria-label="What happened at the door" sx={{ maxWidth: 900 }}>
        <TableBody>
          {lines.map(({ at, by, what, subject, address }, place) => (
            <TableRow key={place}>
              <TableCell className="faint">{formatTime(at)}</TableCell>
              <TableCell>{what}</TableCell>
              <TableCell>{subject}</TableCell>
              <TableCell className="faint">{by === subject ? '' : `by ${by}`}</TableCell>
              <TableCell className="faint">{address}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </section>
  );
}
