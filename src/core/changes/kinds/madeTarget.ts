import type { ArchiveTarget } from './archiveTarget';
import type { Made } from '../named';

/** What undoes a target that was made: it is ended. */
export const endsMade = (_: unknown, { targetId }: Made): ArchiveTarget | null =>
  targetId === null ? null : { kind: 'archive-target', targetId };
