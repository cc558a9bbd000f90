import { useEffect, useState } from 'react';
import type { PictureAnswer, PictureAsked } from '../../../plans/field';
import type { PictureProps } from './pictureProps';

/** What a picture is drawn from, computed by the worker; null until it has answered. */
export function usePicture<K extends PictureAsked['kind']>(
  { engine, loaded, all }: PictureProps,
  asked: PictureAsked & { kind: K },
): Extract<PictureAnswer, { kind: K }> | null {
  const [answer, setAnswer] = useState<PictureAnswer | null>(null);
  const key = JSON.stringify(asked);
  useEffect(() => {
    let isStale = false;
    void engine
      .picture(loaded.loadId, all, JSON.parse(key) as PictureAsked)
      .then((picture) => !isStale && setAnswer(picture));
    return () => {
      isStale = true;
    };
  }, [engine, loaded, all, key]);
  return answer?.kind === asked.kind ? (answer as Extract<PictureAnswer, { kind: K }>) : null;
}
