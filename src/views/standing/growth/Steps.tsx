import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { GrowthInfo } from '../../../contract/growth';
import { counted, formatFullDay } from '../../../core/units';
import { Facts } from '../../shared/kit';
import { Moves } from '../Moves';

const SHOWN = 12;

/** What a plan would do tonight with its reasons, and what waits for what. */
export function Tonight({ growth: { tonight, waits } }: { growth: GrowthInfo }) {
  return (
    <section aria-label="Tonight">
      <h2 className="part serif">Tonight</h2>
      {waits.map((words) => (
        <p className="note" key={words}>
          {words}
        </p>
      ))}
      {tonight.length === 0 ? (
        <p className="note">There is nothing to do as things stand.</p>
      ) : (
        <Moves moves={tonight.slice(0, SHOWN)} />
      )}
      {tonight.length > SHOWN && (
        <p className="note">and {counted(tonight.length - SHOWN, 'more move')}; “Try it” tells them all.</p>
      )}
    </section>
  );
}

/** What a plan did: each move with its reason, the last first. */
export function Done({ growth: { steps } }: { growth: GrowthInfo }) {
  if (steps.length === 0) return null;
  return (
    <section aria-label="What it did">
      <h2 className="part serif">What it did</h2>
      <Facts aria-label="Moves">
        <TableHead>
          <TableRow>
            <TableCell>Night</TableCell>
            <TableCell>Move</TableCell>
            <TableCell>Why</TableCell>
            <TableCell>What became of it</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {steps.map(({ day, what, reason, state }, at) => (
            <TableRow key={at}>
              <TableCell className="figure">{formatFullDay(day)}</TableCell>
              <TableCell>{what}</TableCell>
              <TableCell className="faint small">{reason}</TableCell>
              <TableCell>{state ?? 'done'}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </section>
  );
}
