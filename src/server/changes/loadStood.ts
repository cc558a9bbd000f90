import { stoodBefore } from '../../core/changes';
import type { Stood } from '../../core/changes';
import type { Day } from '../../core/units';
import { listAcceptedSince } from '../../db/queries/accepted';
import { db } from '../context/context';

/** How an account stood when a day began, by what was changed from here since; left out: as it stands. */
export const loadStood = async (accountId: number, on?: Day): Promise<Stood> =>
  stoodBefore(on === undefined ? [] : await listAcceptedSince(db(), accountId, on));
