import { unpack } from '../../contract/packed';
import type { Day } from '../../core/units';
import type { FieldAnswers, FieldAskedWith } from '../../plans/fieldAnswers';
import { needAccount } from '../accounts/accounts';
import { loadSince } from '../changes/loadStood';
import { askThread } from '../threads/askThread';
import type { Subject } from '../threads/askThread';
import { stampOfTerms } from '../threads/stampOf';
import { loadTreeColumns } from './loadTree';

/** An account's targets in the state that they are in. @param on a day that is past: as they stood then */
export async function fieldOf(accountId: number, on?: Day): Promise<Subject<'field'>> {
  const stamp = await stampOfTerms(await needAccount(accountId));
  return {
    key: on === undefined ? String(accountId) : `${accountId} otherwise`,
    stamp: on === undefined ? stamp : `${stamp} ${on}`,
    load: async () => {
      const [tree, since] = await Promise.all([loadTreeColumns(accountId, { on }), loadSince(accountId, on)]);
      return { tree, since };
    },
  };
}

/** Asks about an account's targets as a whole. */
export async function askField<Q extends keyof FieldAskedWith>(
  accountId: number,
  question: Q,
  asked: FieldAskedWith[Q],
  on?: Day,
): Promise<FieldAnswers[Q]> {
  return unpack(await askThread('field', await fieldOf(accountId, on), question, asked));
}
