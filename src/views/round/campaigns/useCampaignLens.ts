import type { AccountInfo } from '../../../contract/api';
import { useWorkerLoad } from '../../shared/worker/useWorkerLoad';
import type { RoundState } from '../useRoundState';
import { campaignsLoad } from './campaignsLoad';

/** The account's campaigns, loaded once for all steps that go over them. */
export function useCampaignLens(
  account: AccountInfo | undefined,
  { from, to }: RoundState,
  isWanted: boolean,
) {
  return useWorkerLoad(campaignsLoad(account, from, to), isWanted && account !== undefined);
}
