import type { AskedWindow } from '../../contract/requests';
import { unpack } from '../../contract/packed';
import type { OverviewParts } from '../../plans/field';
import { keptRead, spanKey } from '../context/keptReads';
import { askThread } from '../threads/askThread';
import { fieldOf } from './askField';
import { loadFieldSums } from './loadFieldSums';

/** What an account's targets tell about it as a whole, over a window and the one before. */
export async function loadOverviewParts(accountId: number, asked: AskedWindow = {}): Promise<OverviewParts> {
  const sums = await loadFieldSums({ account: accountId, grain: 'target', ...asked });
  const subject = await fieldOf(accountId);
  const spans = `${spanKey(sums.window)} ${spanKey(sums.before)}`;
  const bytes = await keptRead(`overview parts ${accountId} ${spans}`, subject.stamp, () =>
    askThread('field', subject, 'overview', { sums }),
  );
  return unpack(bytes);
}
