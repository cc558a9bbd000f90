import { useRemembered } from './useRemembered';

/** Whether a part of the page is folded away, as this browser remembers it. */
export function useFolded(key: string): [isFolded: boolean, fold: () => void] {
  const [isFolded, setFolded] = useRemembered(key, false);
  return [isFolded, () => setFolded(!isFolded)];
}
