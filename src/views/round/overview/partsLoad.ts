import type { AccountInfo } from '../../../contract/api';
import type { AskedWindow } from '../../../contract/requests';
import type { OverviewParts } from '../../../plans/field';
import { api } from '../../shared/api';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import type { WorkerLoad } from '../../shared/worker/workerLoad';

/** What an account's targets tell about it as a whole. */
export const partsLoad = (
  account: AccountInfo | undefined,
  asked: AskedWindow,
): WorkerLoad<OverviewParts> => ({
  key: ['overview-parts', account?.id, dataVersion(account), asked],
  load: () => api.overviewParts(account!.id, asked),
});
