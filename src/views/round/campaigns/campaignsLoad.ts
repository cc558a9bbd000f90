import type { AccountInfo } from '../../../contract/api';
import type { LoadedLens } from '../../../plans/field';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { WorkerLoad } from '../../shared/worker/workerLoad';

/** The campaigns, for the steps that go over them. */
export const campaignsLoad = (
  account: AccountInfo | undefined,
  from: string | null,
  to: string | null,
): WorkerLoad<LoadedLens> => ({
  key: ['campaigns', account?.id, dataVersion(account), from, to],
  load: () =>
    pageEngine().loadCampaigns(account!.id, dataVersion(account), {
      from: from ?? undefined,
      to: to ?? undefined,
    }),
});
