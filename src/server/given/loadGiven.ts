import type { Given } from '../../contract/given';
import { countPending } from '../../db/queries/changes';
import { loadAccounts, loadRevision } from '../accounts/accounts';
import { loadChanges } from '../changes/loadChanges';
import { db } from '../context/context';
import { meOf } from '../people/meOf';
import type { Visitor } from '../people/visitor';
import { loadRules } from '../standing/rules';

/** More changes than these would keep the page itself waiting. */
const MOST_CHANGES = 100;

/** What comes with a page. @param named the account that its address names */
export async function loadGiven(visitor: Visitor, named: number | null): Promise<Given> {
  const accounts = await loadAccounts(visitor.rightsOn);
  const account = accounts.find(({ id }) => id === named)?.id;
  return { accounts, me: meOf(visitor), of: account === undefined ? null : await ofAccount(account) };
}

async function ofAccount(account: number): Promise<NonNullable<Given['of']>> {
  const counts = await countPending(db(), account);
  const few = (state: 'staged' | 'sending') =>
    counts[state] <= MOST_CHANGES ? loadChanges(account, { state }) : undefined;
  const [revision, rules, staged, sending] = await Promise.all([
    loadRevision(account),
    loadRules(account),
    few('staged'),
    few('sending'),
  ]);
  return { account, revision, rules, staged, sending };
}
