import { useState } from 'react';

/** One try at a time: whether it is under way, and what went wrong with the last. */
export function useTry(ask: () => Promise<unknown>, done: () => void) {
  const [isTrying, setTrying] = useState(false);
  const [error, setError] = useState<Error | null>(null);
  const attempt = () => {
    if (isTrying) return;
    setTrying(true);
    setError(null);
    // Once it is done the page is left: it stays as it is.
    ask().then(done, (fault: Error) => {
      setError(fault);
      setTrying(false);
    });
  };
  return { isTrying, error, attempt };
}
