import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Fragment, useState } from 'react';
import Button from '@mui/material/Button';
import type { AccountInfo } from '../../../contract/api';
import type { PastNight, TryAnswer } from '../../../contract/rules';
import { counted, formatCount, formatFullDay, formatMoney } from '../../../core/units';
import { Empty, Facts } from '../../shared/kit';
import { Moves } from '../Moves';
import { leftWords } from '../words';

interface TriedProps {
  account: AccountInfo;
  answer: TryAnswer;
  /** Whether all nights are told. */
  isWhole: boolean;
}

/** What a rule would have done: night by night, with what was known then, and each change with its reason. */
export function Tried({ account, answer: { nights, why }, isWhole }: TriedProps) {
  const [open, setOpen] = useState<string | null>(null);
  if (nights.length === 0 && !isWhole) return null;
  if (nights.length === 0) return <Empty why={why}>There is nothing to try it on.</Empty>;
  const made = nights.reduce((sum, one) => sum + one.made, 0);
  return (
    <section aria-label="Tried">
      <h2 className="part serif">Tried on the past</h2>
      <p className="note">
        {why ??
          `${counted(made, 'change')} in ${counted(nights.length, 'night')}, each looked at by itself: everything as it stood, later days left out, orders as far as they had come in.`}
      </p>
      <Facts aria-label="Nights tried">
        <TableHead>
          <TableRow>
            <TableCell>Night</TableCell>
            <TableCell className="figure">Looked at</TableCell>
            <TableCell className="figure">Changes</TableCell>
            <TableCell className="figure">Spend, {account.currency} a month</TableCell>
            <TableCell className="figure">Sales, {account.currency} a month</TableCell>
            <TableCell>Left</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {nights.map((night) => (
            <Fragment key={night.day}>
              <TableRow>
                <TableCell>{formatFullDay(night.day)}</TableCell>
                <TableCell className="figure">{formatCount(night.looked)}</TableCell>
                <TableCell className="figure">{formatCount(night.made)}</TableCell>
                <TableCell className="figure">{formatMoney(night.spend)}</TableCell>
                <TableCell className="figure">{formatMoney(night.sales)}</TableCell>
                <TableCell className="faint small">{leftWords(night)}</TableCell>
                <TableCell>
                  {night.made > 0 && (
                    <Button
                      variant="link"
                      aria-expanded={open === night.day}
                      onClick={() => setOpen(open === night.day ? null : night.day)}
                    >
                      {open === night.day ? 'Fold' : 'Show'}
                    </Button>
                  )}
                </TableCell>
              </TableRow>
              {open === night.day && <Changes night={night} />}
            </Fragment>
          ))}
        </TableBody>
      </Facts>
    </section>
  );
}

function Changes({ night: { changes, made } }: { night: PastNight }) {
  return (
    <TableRow>
      <TableCell colSpan={7}>
        <Moves moves={changes} />
        {made > changes.length && <p className="note">The first {formatCount(changes.length)} are shown.</p>}
      </TableCell>
    </TableRow>
  );
}
