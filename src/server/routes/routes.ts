import { checkRoutes, routeKey } from '../../core/routes';
import type { Route } from '../../core/routes';
import { indexStructure } from '../../core/structure';
import { MowingError } from '../../contract/mowingError';
import { listRoutes, replaceRoutes } from '../../db/queries/routes';
import { listAdGroups, listCampaigns, listTargets } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** The routes of an account. */
export async function loadRoutes(account: number): Promise<{ routes: Route[] }> {
  await needAccount(account);
  return { routes: await listRoutes(db(), account) };
}

/**
 * Keeps an account's routes, all or none.
 * @throws MowingError 'bad-request' with every fault: circles, dead ends, ends that are gone
 */
export async function keepRoutes(
  caller: Caller,
  account: number,
  list: readonly Route[],
): Promise<{ routes: Route[] }> {
  await needAccount(account);
  const routes = [...new Map(list.map((route) => [routeKey(route), route])).values()];
  const [campaigns, adGroups, targets] = await Promise.all([
    listCampaigns(db(), account),
    listAdGroups(db(), account),
    listTargets(db(), account),
  ]);
  const index = indexStructure({ campaigns, adGroups, targets, negatives: [] });
  const nameOf = (id: number) => {
    const adGroup = index.adGroup(id);
    return adGroup ? `${index.campaign(adGroup.campaignId)?.name} › ${adGroup.name}` : `ad group ${id}`;
  };
  const faults = checkRoutes(routes, index).map(({ route, sentence }) => ({
    where: `${nameOf(route.sourceId)} → ${nameOf(route.homeId)}`,
    what: sentence,
  }));
  if (faults.length > 0)
    throw new MowingError(
      'bad-request',
      `${faults[0].where}: ${faults[0].what} The routes stay as they were.`,
      faults,
    );
  await recorded(caller, account, async (tx, note) => {
    const from = await listRoutes(tx, account);
    await replaceRoutes(tx, account, routes);
    note({ what: 'keep routes', from, to: routes });
  });
  return { routes };
}
