import type { AccountInfo } from '../../../contract/api';
import type { LoadedLens } from '../../../plans/field';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { WorkerLoad } from '../../shared/worker/workerLoad';

/** All targets, and what their bids are worked out from. */
export const bidsLoad = (
  account: AccountInfo | undefined,
  from: string | null,
  to: string | null,
): WorkerLoad<LoadedLens> => ({
  key: ['bids', account?.id, dataVersion(account), from, to],
  load: () =>
    pageEngine().loadBids(account!.id, dataVersion(account), {
      from: from ?? undefined,
      to: to ?? undefined,
    }),
});
