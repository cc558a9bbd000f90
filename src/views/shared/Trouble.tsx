import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { tryWorkersAgain } from './worker/pageWorker';

/** Faults of the program itself; what others threw is a sentence already. */
const OWN_FAULTS = ['RangeError', 'TypeError', 'ReferenceError', 'DataCloneError'];

/** What went wrong in words. */
const sentence = ({ name, message }: Error) =>
  OWN_FAULTS.includes(name) ? `The computation failed: ${message}.` : message;

/** What went wrong where rows were expected, and a way to go on. */
export function Trouble({ error, onAgain }: { error: Error; onAgain?: () => void }) {
  const client = useQueryClient();
  const again = () => {
    tryWorkersAgain();
    // What the worker held went with it; what failed is asked anew.
    void client.resetQueries({
      predicate: ({ meta, state }) => meta?.inWorker === true || state.status === 'error',
    });
    onAgain?.();
  };
  return (
    <div style={{ padding: '16px 24px' }} role="alert">
      <span className="over">{sentence(error)}</span> <Button onClick={again}>Try again</Button>
    </div>
  );
}
