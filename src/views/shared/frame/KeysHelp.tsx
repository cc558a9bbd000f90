import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { PAGES } from './pages';

/** Keys, and what they do. */
export type KeyLine = [keys: string, does: string];

const EVERYWHERE: KeyLine[] = [
  ...PAGES.map(({ key, label }): KeyLine => [`g ${key}`, `go to ${label}`]),
  ['ctrl k', 'find anything by its name, or do anything'],
  ['t', 'open or close the tray; Enter there sends'],
  ['?', 'these keys'],
];

export function KeysHelp({ isOpen, onClose, own }: { isOpen: boolean; onClose: () => void; own: KeyLine[] }) {
  return (
    <Dialog open={isOpen} onClose={onClose} maxWidth="sm">
      <DialogTitle className="serif">Keys</DialogTitle>
      <DialogContent>
        <table className="plain">
          <tbody>
            {[...own, ...EVERYWHERE].map(([keys, does]) => (
              <tr key={keys}>
                <td style={{ width: 130 }}>
                  <kbd>{keys}</kbd>
                </td>
                <td>{does}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </DialogContent>
    </Dialog>
  );
}
