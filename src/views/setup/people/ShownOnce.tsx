import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Ask } from '../../shared/kit';
import { useTell } from '../../shared/useTell';

/** A secret that is shown this once: to be copied, and given to whom it is for. */
export function ShownOnce({
  title,
  secret,
  children,
  onClose,
}: {
  title: string;
  secret: string;
  children: ReactNode;
  onClose: () => void;
}) {
  const tell = useTell();
  const copy = () =>
    navigator.clipboard.writeText(secret).then(
      () => tell('Copied'),
      () => tell('The browser does not let it be copied; mark it and copy it by hand.', { kind: 'fault' }),
    );
  return (
    <Ask title={title} does={null} onDone={onClose}>
      <p>{children}</p>
      <p>
        <code className="secretText">{secret}</code>
      </p>
      <Button variant="outlined" onClick={() => void copy()}>
        Copy
      </Button>
    </Ask>
  );
}
