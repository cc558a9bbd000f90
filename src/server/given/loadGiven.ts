import type { Given } from '../../contract/given';
import { windowQuery } from '../../contract/schemas';
import { countPending } from '../../db/queries/changes';
import { loadAccounts, loadRevision } from '../accounts/accounts';
import { loadWindow } from '../accounts/chooseWindow';
import { loadAside } from '../aside/aside';
import { loadChanges } from '../changes/loadChanges';
import { db } from '../context/context';
import { readValues } from '../http/read';
import { meOf } from '../people/meOf';
import type { Visitor } from '../people/visitor';
import { loadRules } from '../standing/rules';

/** More changes than these would keep the page itself waiting. */
const MOST_CHANGES = 100;
const MOST_ASIDE = 1000;

type Of = NonNullable<Given['of']>;

/** What comes with a page. @param values of its address */
export async function loadGiven(visitor: Visitor, place: string, values: URLSearchParams): Promise<Given> {
  const accounts = await loadAccounts(visitor.rightsOn);
  const account = accounts.find(({ id }) => String(id) === values.get('account'))?.id;
  if (account === undefined) return { accounts, me: meOf(visitor), of: null };
  const [of, more] = await Promise.all([
    ofAccount(account),
    place === 'round' ? ofRound(account, values) : undefined,
  ]);
  return { accounts, me: meOf(visitor), of: { ...of, ...more } };
}

async function ofRound(account: number, values: URLSearchParams): Promise<Pick<Of, 'aside' | 'window'>> {
  const windowOf = async () => {
    const asked = { account, from: values.get('from') ?? undefined, to: values.get('to') ?? undefined };
    const { from, to } = readValues(asked, windowQuery, 'query');
    return loadWindow(account, from, to);
  };
  // Days that make no window are told when the page asks.
  const [put, window] = await Promise.all([loadAside(account), windowOf().catch(() => undefined)]);
  return { aside: put.aside.length <= MOST_ASIDE ? put : undefined, window };
}

async function ofAccount(account: number): Promise<Of> {
  // Its mark of the tray first: what comes into the tray after it is met by the next mark, whether the list has it or not.
  const [revision, counts] = await Promise.all([loadRevision(account), countPending(db(), account)]);
  const few = (state: 'staged' | 'sending') =>
    counts[state] <= MOST_CHANGES ? loadChanges(account, { state }) : undefined;
  const [rules, staged, sending] = await Promise.all([loadRules(account), few('staged'), few('sending')]);
  return { account, revision, rules, staged, sending };
}
