import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { describeChange } from '../../../core/changes';
import { formatCount, formatMoney, formatShare } from '../../../core/units';
import type { FileDifferences } from '../../../contract/changes';
import type { TrayState } from './useTray';

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
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="read-back-title">
      <DialogTitle id="read-back-title" className="serif">
        {name}: {formatCount(edits.length)} {edits.length === 1 ? 'value differs' : 'values differ'} from the
        tray
      </DialogTitle>
      <DialogContent>
        <p className="faint" style={{ margin: '0 0 8px' }}>
          {formatCount(same)} {same === 1 ? 'line says' : 'lines say'} what the tray says.
        </p>
        {refused.length > 0 && (
          <section aria-label="Refused lines" style={{ marginBottom: 10 }}>
            <strong className="over">
              ▲ {formatCount(refused.length)} {refused.length === 1 ? 'line is' : 'lines are'} refused
            </strong>
            <ul style={{ margin: '2px 0', paddingLeft: 20, maxHeight: 140, overflow: 'auto' }}>
              {refused.map(({ line, reason }) => (
                <li key={line}>
                  Line {line}: {reason}
                </li>
              ))}
            </ul>
          </section>
        )}
        {edits.length > 0 && (
          <div style={{ maxHeight: 300, overflow: 'auto' }}>
            <table className="plain" aria-label="Differences">
              <thead>
                <tr>
                  <th className="figure">Line</th>
                  <th>Change</th>
                  <th>Campaign › ad group</th>
                  <th className="figure">In the tray</th>
                  <th className="figure">In the file</th>
                </tr>
              </thead>
              <tbody>
                {edits.map(({ line, id, from, to, unit }) => {
                  const one = byId.get(id);
                  return (
                    <tr key={id}>
                      <td className="figure">{line}</td>
                      <td>
                        {one ? describeChange(one.change) : `Change ${id}`}
                        {one?.subject ? ` “${one.subject}”` : ''}
                      </td>
                      <td>
                        {one?.campaign} › {one?.adGroup ?? 'whole campaign'}
                      </td>
                      <td className="figure">{show(from, unit)}</td>
                      <td className="figure">
                        <strong>{show(to, unit)}</strong> {unit === 'money' ? currency : ''}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        )}
        {missing.length > 0 && (
          <label style={{ display: 'block', marginTop: 10 }}>
            <input
              type="checkbox"
              checked={takesOut}
              onChange={(event) => setTakesOut(event.target.checked)}
            />{' '}
            Take out of the tray what the file does not hold any more ({formatCount(missing.length)})
          </label>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave the tray as it is</Button>
        <Button variant="contained" autoFocus disabled={count === 0} onClick={apply}>
          Take over {formatCount(count)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
