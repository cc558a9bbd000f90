import { acceptedOf, blockOf, NOTHING_MADE } from '../../core/changes';
import type { Change } from '../../core/changes';
import type { Query } from '../../db/connection';
import { applyAccepted } from '../../db/queries/accepted';
import { addListTerm } from '../../db/queries/negativeLists';

/** A change that has its answer. */
export interface Answered {
  id: number;
  change: Change;
  listId: number | null;
}

/** What an accepted change makes of our copy, and of what it carries. */
export async function takeAccepted(
  tx: Query,
  accountId: number,
  { change, listId }: Answered,
  marketId: string | null,
) {
  const made = await applyAccepted(tx, accountId, acceptedOf(change), marketId);
  // A list learns a term once the market has it: what is taken out of the tray leaves no trace.
  const block = blockOf(change);
  if (listId !== null && block) await addListTerm(tx, accountId, listId, block);
  return made;
}

/** A change that was not carried out, with the reason. */
export const refusal = (code: string, sentence: string) => ({
  accepted: false,
  code,
  sentence,
  ...NOTHING_MADE,
});
