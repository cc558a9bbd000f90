import Box from '@mui/material/Box';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import { describeChange } from '../../../core/changes';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { FileDifferences } from '../../../contract/changes';
import type { TrayState } from './useTray';
import { Ask, Check, Facts } from '../kit';

interface ReadBackDialogProps {
  name: string;
  differences: FileDifferences;
  currency: string;
  tray: TrayState;
  onClose: () => void;
}

/** What an edited change file says differently from the tray, before it counts. */
export function ReadBackDialog({ name, differences, currency, tray, onClose }: ReadBackDialogProps) {
  const { edits, missing, refused, same } = differences;
  const [takesOut, setTakesOut] = useState(false);
  const byId = new Map(tray.changes.map((one) => [one.id, one]));
  const count = edits.length + (takesOut ? missing.length : 0);
  const apply = () => {
    if (edits.length > 0) tray.setValues.mutate(edits.map(({ id, to }) => ({ id, value: to })));
    if (takesOut && missing.length > 0) tray.withdraw.mutate(missing);
    onClose();
  };
  const show = (value: number, unit: 'money' | 'share') =>
    unit === 'money' ? formatMoney(value) : formatShare(value, 0);
  return (
    <Ask
      title={`${name}: ${formatCount(edits.length)} ${edits.length === 1 ? 'value differs' : 'values differ'} from the tray`}
      does={`Take over ${formatCount(count)}`}
      not="Leave the tray as it is"
      isOff={count === 0}
      maxWidth="md"
      onDone={(isWanted) => (isWanted ? apply() : onClose())}
    >
      <p className="note">
        {formatCount(same)} {same === 1 ? 'line says' : 'lines say'} what the tray says.
      </p>
      {refused.length > 0 && (
        <Box component="section" aria-label="Refused lines" sx={{ marginBottom: '10px' }}>
          <strong className="over">
            ▲ {formatCount(refused.length)} {refused.length === 1 ? 'line is' : 'lines are'} refused
          </strong>
          <Box component="ul" sx={{ margin: '2px 0', paddingLeft: '20px', maxHeight: 140, overflow: 'auto' }}>
            {refused.map(({ line, reason }) => (
              <li key={line}>
                Line {line}: {reason}
              </li>
            ))}
          </Box>
        </Box>
      )}
      {edits.length > 0 && (
        <Box sx={{ maxHeight: 300, overflow: 'auto' }}>
          <Facts aria-label="Differences">
            <TableHead>
              <TableRow>
                <TableCell className="figure">Line</TableCell>
                <TableCell>Change</TableCell>
                <TableCell>Campaign › ad group</TableCell>
                <TableCell className="figure">In the tray</TableCell>
                <TableCell className="figure">In the file</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {edits.map(({ line, id, from, to, unit }) => {
                const one = byId.get(id);
                return (
                  <TableRow key={id}>
                    <TableCell className="figure">{line}</TableCell>
                    <TableCell>
                      {one ? describeChange(one.change) : `Change ${id}`}
                      {one?.subject ? ` “${one.subject}”` : ''}
                    </TableCell>
                    <TableCell>
                      {one?.campaign} › {one?.adGroup ?? 'whole campaign'}
                    </TableCell>
                    <TableCell className="figure">{show(from, unit)}</TableCell>
                    <TableCell className="figure">
                      <strong>{show(to, unit)}</strong> {unit === 'money' ? currency : ''}
                    </TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Facts>
        </Box>
      )}
      {missing.length > 0 && (
        <Check isOn={takesOut} onChange={setTakesOut}>
          Take out of the tray what the file no longer holds ({formatCount(missing.length)})
        </Check>
      )}
    </Ask>
  );
}
