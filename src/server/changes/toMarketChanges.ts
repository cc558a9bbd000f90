import { entitiesOf } from '../../core/changes';
import type { Change, Named } from '../../core/changes';
import type { MarketChange, OwnKind } from '../../contract/market';
import type { Query } from '../../db/connection';
import { marketIds } from '../../db/queries/structure';

interface Waiting {
  id: number;
  change: Change;
}

type Ids = Map<number, string | null>;

interface KnownIds {
  campaign: Ids;
  adGroup: Ids;
  target: Ids;
  negative: Ids;
  product: Ids;
}

/** Changes in the market's words; those whose place or thing the market has no id for come back as unknown. */
export async function toMarketChanges(
  tx: Query,
  accountId: number,
  list: Waiting[],
): Promise<{ changes: MarketChange[]; unknown: Waiting[] }> {
  const named = list.map(({ change }) => entitiesOf(change));
  const idsOf = (
    table: 'campaign' | 'ad_group' | 'target' | 'negative' | 'product',
    of: (one: Named) => number | undefined,
  ) =>
    marketIds(
      tx,
      accountId,
      table,
      named.flatMap((one) => of(one) ?? []),
    );
  const ids: KnownIds = {
    campaign: await idsOf('campaign', ({ campaign }) => campaign),
    adGroup: await idsOf('ad_group', ({ adGroup }) => adGroup),
    target: await idsOf('target', ({ target }) => target),
    negative: await idsOf('negative', ({ negative }) => negative),
    product: await idsOf('product', ({ product }) => product),
  };
  const changes: MarketChange[] = [];
  const unknown: Waiting[] = [];
  for (const one of list) {
    const translated = translate(one, ids);
    if (translated) changes.push(translated);
    else unknown.push(one);
  }
  return { changes, unknown };
}

function translate({ id, change }: Waiting, ids: KnownIds): MarketChange | null {
  const ref = String(id);
  const create = (entity: OwnKind, fields: Record<string, unknown>): MarketChange => ({
    ref,
    do: 'create',
    entity,
    fields,
  });
  const onThing = (
    entity: OwnKind,
    marketId: string | null | undefined,
    fields?: Record<string, unknown>,
  ): MarketChange | null => {
    if (!marketId) return null;
    return fields
      ? { ref, do: 'update', entity, id: marketId, fields }
      : { ref, do: 'archive', entity, id: marketId };
  };
  switch (change.kind) {
    case 'add-keyword':
    case 'add-item-target': {
      const adGroupId = ids.adGroup.get(change.adGroupId);
      const { expression, bid } = change;
      const what =
        change.kind === 'add-keyword'
          ? { kind: 'keyword', match: change.match }
          : { kind: 'item', match: null };
      return adGroupId ? create('targets', { adGroupId, ...what, expression, bid }) : null;
    }
    case 'add-negative': {
      const campaignId = ids.campaign.get(change.campaignId);
      const adGroupId = change.adGroupId === null ? null : ids.adGroup.get(change.adGroupId);
      const { match, expression } = change;
      return campaignId && adGroupId !== undefined && (adGroupId !== null || change.adGroupId === null)
        ? create('negatives', { campaignId, adGroupId, match, expression })
        : null;
    }
    case 'set-bid':
      return onThing('targets', ids.target.get(change.targetId), { bid: change.to });
    case 'set-budget':
      return onThing('campaigns', ids.campaign.get(change.campaignId), { budget: change.to });
    case 'set-modifier':
      return onThing('campaigns', ids.campaign.get(change.campaignId), { [change.placement]: change.to });
    case 'set-state': {
      const [entity, known] = {
        campaign: ['campaigns', ids.campaign] as const,
        'ad-group': ['ad-groups', ids.adGroup] as const,
        target: ['targets', ids.target] as const,
      }[change.entity];
      return onThing(entity, known.get(change.id), { state: change.to });
    }
    case 'add-campaign':
      return create('campaigns', { name: change.name, budget: change.budget });
    case 'add-ad-group': {
      const campaignId = ids.campaign.get(change.campaignId);
      const { name, defaultBid } = change;
      return campaignId ? create('ad-groups', { campaignId, name, defaultBid }) : null;
    }
    case 'add-ad': {
      const [adGroupId, productId] = [ids.adGroup.get(change.adGroupId), ids.product.get(change.productId)];
      return adGroupId && productId ? create('ads', { adGroupId, productId }) : null;
    }
    case 'archive-place':
      return change.entity === 'campaign'
        ? onThing('campaigns', ids.campaign.get(change.id))
        : onThing('ad-groups', ids.adGroup.get(change.id));
    case 'archive-target':
      return onThing('targets', ids.target.get(change.targetId));
    case 'archive-negative':
      return onThing('negatives', ids.negative.get(change.negativeId));
  }
}
