import type { AccountInfo } from '../../../contract/api';
import type { LoadedLens } from '../../../plans/field';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import { useWorkerLoad } from '../../shared/worker/useWorkerLoad';
import type { RoundState } from '../useRoundState';

/** The account's campaigns, loaded once for all steps that go over them. */
export function useCampaignLens(
  account: AccountInfo | undefined,
  { from, to }: RoundState,
  isWanted: boolean,
) {
  const engine = pageEngine();
  const version = dataVersion(account);
  return useWorkerLoad<LoadedLens>(
    ['campaigns', account?.id, version, from, to],
    () => engine.loadCampaigns(account!.id, version, { from: from ?? undefined, to: to ?? undefined }),
    isWanted && account !== undefined,
  );
}
