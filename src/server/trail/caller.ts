import { NOBODY, RIGHTS } from '../../contract/people';
import type { Right } from '../../contract/people';

/** Whoever asks for something, and what it may do there: it stands in the trail with what was done. */
export interface Caller {
  name: string;
  rights: readonly Right[];
}

/** Whoever works at the machine itself: everybody who reaches an application that nobody has to sign in to, and its command line. */
export const THIS_MACHINE: Caller = { name: NOBODY, rights: RIGHTS };

/** What the application does by itself, when it is due. */
export const MOWING: Caller = { name: 'Mowing', rights: RIGHTS };
