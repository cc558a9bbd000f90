import { entitiesOf, toMarket } from '../../core/changes';
import type { Change, Named } from '../../core/changes';
import type { MarketChange } from '../../contract/market';
import type { Query } from '../../db/connection';
import { marketIds } from '../../db/queries/structure';
import { TABLES_OF_NAMED } from './tablesOfNamed';

interface Waiting {
  id: number;
  change: Change;
}

/** Changes in the market's words; those whose place or thing the market has no id for come back as unknown. */
export async function toMarketChanges(
  tx: Query,
  accountId: number,
  list: Waiting[],
): Promise<{ changes: MarketChange[]; unknown: Waiting[] }> {
  const named = list.map(({ change }) => entitiesOf(change));
  const idsOf = async (entity: keyof Named) => {
    const known = await marketIds(
      tx,
      accountId,
      TABLES_OF_NAMED[entity],
      named.flatMap((one) => one[entity] ?? []),
    );
    return (id: number) => known.get(id) ?? undefined;
  };
  const ids = {
    campaign: await idsOf('campaign'),
    adGroup: await idsOf('adGroup'),
    ad: await idsOf('ad'),
    target: await idsOf('target'),
    negative: await idsOf('negative'),
    product: await idsOf('product'),
    schedule: await idsOf('schedule'),
  };
  const changes: MarketChange[] = [];
  const unknown: Waiting[] = [];
  for (const one of list) {
    const act = toMarket(one.change, ids);
    if (act) changes.push({ ref: String(one.id), ...act });
    else unknown.push(one);
  }
  return { changes, unknown };
}
