import { useState } from 'react';
import { recall, remember } from '../shared/urlState';

/** Whether a part of the page is folded away, as this browser remembers it. */
export function useFolded(key: string): [isFolded: boolean, fold: () => void] {
  const [isFolded, setFolded] = useState(() => recall(key, false));
  const fold = () => {
    remember(key, !isFolded);
    setFolded(!isFolded);
  };
  return [isFolded, fold];
}
