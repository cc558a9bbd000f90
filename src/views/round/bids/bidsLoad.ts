import type { AccountInfo } from '../../../contract/api';
import { USUAL_LIMITS } from '../../../core/changes';
import { aheadOf, roundSettings } from '../../../plans/bids';
import type { LoadedLens } from '../../../plans/field';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { WorkerLoad } from '../../shared/worker/workerLoad';

/** All targets; their plan is asked for at the same time, as it most likely is: with nothing in the tray that bids start from. */
export const bidsLoad = (
  account: AccountInfo | undefined,
  from: string | null,
  to: string | null,
): WorkerLoad<LoadedLens> => ({
  key: ['bids', account?.id, dataVersion(account), from, to],
  load: () => {
    const { id, choices, limits } = account!;
    const version = dataVersion(account);
    void pageEngine().readPlan(id, version, roundSettings(choices, limits ?? USUAL_LIMITS, aheadOf([])));
    return pageEngine().load(id, version, 'targets', { from: from ?? undefined, to: to ?? undefined });
  },
});
