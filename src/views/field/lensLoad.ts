import type { AccountInfo } from '../../contract/api';
import type { AskedWindow } from '../../contract/requests';
import type { LensName } from '../../core/lenses';
import type { LoadedLens } from '../../plans/field';
import { dataVersion } from '../shared/fieldEngine/dataVersion';
import { pageEngine } from '../shared/fieldEngine/pageEngine';
import type { WorkerLoad } from '../shared/worker/workerLoad';

/** Where the address names none. */
export const USUAL_LENS: LensName = 'keywords';

/** The figures of a lens. */
export const lensLoad = (
  account: AccountInfo | undefined,
  lens: LensName,
  asked: AskedWindow,
): WorkerLoad<LoadedLens> => ({
  key: ['lens', account?.id, dataVersion(account), lens, asked],
  load: () => pageEngine().load(account!.id, dataVersion(account), lens, asked),
});
