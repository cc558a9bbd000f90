import type { AskedWindow } from '../../contract/requests';
import { unpack } from '../../contract/packed';
import type { OverviewParts } from '../../plans/field';
import { needAccount } from '../accounts/accounts';
import { keptRead, spanKey } from '../context/keptReads';
import { askThread } from '../threads/askThread';
import { stampOf } from '../threads/stampOf';
import { loadFieldSums } from './loadFieldSums';
import { loadTreeColumns } from './loadTree';

/** What an account's targets tell about it as a whole, over a window and the one before. */
export async function loadOverviewParts(accountId: number, asked: AskedWindow = {}): Promise<OverviewParts> {
  const account = await needAccount(accountId);
  const sums = await loadFieldSums({ account: accountId, grain: 'target', ...asked });
  const subject = {
    key: String(accountId),
    stamp: await stampOf(account),
    load: async () => ({ tree: await loadTreeColumns(accountId) }),
  };
  const spans = `${spanKey(sums.window)} ${spanKey(sums.before)}`;
  const bytes = await keptRead(`overview parts ${accountId} ${spans}`, subject.stamp, () =>
    askThread('field', subject, 'overview', { sums }),
  );
  return unpack(bytes);
}
