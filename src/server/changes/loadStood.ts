import { stoodBefore } from '../../core/changes';
import type { AcceptedChange, Stood } from '../../core/changes';
import type { Day } from '../../core/units';
import { listAcceptedSince } from '../../db/queries/accepted';
import { db } from '../context/context';

/** What was changed from here since a day began; left out: nothing. */
export const loadSince = async (accountId: number, on?: Day): Promise<AcceptedChange[]> =>
  on === undefined ? [] : listAcceptedSince(db(), accountId, on);

/** How an account stood when a day began, by what was changed from here since; left out: as it stands. */
export const loadStood = async (accountId: number, on?: Day): Promise<Stood> =>
  stoodBefore(await loadSince(accountId, on));
