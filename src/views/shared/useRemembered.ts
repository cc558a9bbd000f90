import { useState } from 'react';
import { recall, remember } from './remembered';

/** A choice that this browser remembers. */
export function useRemembered<T>(key: string, usual: T): [T, (value: T) => void] {
  const [value, setValue] = useState<T>(() => recall(key, usual));
  const keep = (next: T) => {
    remember(key, next);
    setValue(next);
  };
  return [value, keep];
}
