import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { PAGES } from './pages';
import type { PageName } from './pages';
import { Facts } from '../kit';

/** Keys, and what they do. */
export type KeyLine = [keys: string, does: string];

const EVERYWHERE: KeyLine[] = [
  ...PAGES.map(({ key, label }): KeyLine => [`g ${key}`, `go to ${label}`]),
  ['ctrl k', 'find anything by its name, or do anything'],
  ['t', 'open or close the tray; Enter there sends'],
  ['u', 'undo the last thing you did, in any place'],
  ['?', 'these keys'],
];

interface KeysHelpProps {
  place: PageName;
  own: readonly KeyLine[];
  onClose: () => void;
}

/** The keys of the place and those that work everywhere, and the way to the guide. */
export function KeysHelp({ place, own, onClose }: KeysHelpProps) {
  const { label } = PAGES.find(({ name }) => name === place)!;
  const known = new Set(own.map(([keys]) => keys));
  return (
    <Dialog open onClose={onClose} maxWidth="md" transitionDuration={0} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <p className="note">
          New here?{' '}
          <Link href="/guide" target="_blank">
            The guide
          </Link>{' '}
          goes through a round from start to end.
        </p>
        <div className="keyLists">
          {own.length > 0 && <KeyList title={label} lines={own} />}
          <KeyList title="Everywhere" lines={EVERYWHERE.filter(([keys]) => !known.has(keys))} />
        </div>
      </DialogContent>
    </Dialog>
  );
}

function KeyList({ title, lines }: { title: string; lines: readonly KeyLine[] }) {
  return (
    <section aria-label={title}>
      <h3 className="part">{title}</h3>
      <Facts>
        <TableBody>
          {lines.map(([keys, does]) => (
            <TableRow key={keys}>
              <TableCell sx={{ width: 110 }}>
                <kbd>{keys}</kbd>
              </TableCell>
              <TableCell>{does}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </section>
  );
}
