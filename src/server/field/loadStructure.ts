import type { Structure } from '../../core/structure';
import { listAdGroups, listCampaigns, listNegatives, listTargets } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** An account's campaigns and what hangs below them. */
export async function loadStructure(accountId: number): Promise<Structure> {
  await needAccount(accountId);
  const [campaigns, adGroups, targets, negatives] = await Promise.all([
    listCampaigns(db(), accountId),
    listAdGroups(db(), accountId),
    listTargets(db(), accountId),
    listNegatives(db(), accountId),
  ]);
  return { campaigns, adGroups, targets, negatives };
}
