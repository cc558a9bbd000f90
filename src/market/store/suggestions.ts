import type { BidSuggestion, TargetSuggestion } from '../../contract/market';
import { matchForm } from '../../core/matching';
import { suggestBid, suggestTargets } from '../sim';
import type { SimTarget, World } from '../sim';
import type { MarketDb } from './connection';

/** What a bid suggestion is asked for. */
export interface SuggestQuestion {
  /** The ad group it is to stand in, or the product that a new one will advertise. */
  adGroupId?: string;
  productId?: string;
  kind: SimTarget['kind'];
  match?: SimTarget['match'];
  expression: string;
}

/** Suggested bids of some targets, null where the market knows nothing like them. */
export async function suggestBids(
  sql: MarketDb,
  account: string,
  world: World,
  questions: SuggestQuestion[],
): Promise<(BidSuggestion | null)[]> {
  const products = await productsOf(
    sql,
    account,
    questions.flatMap(({ adGroupId }) => adGroupId ?? []),
  );
  const index = new Map(world.products.map(({ id }, at) => [id, at]));
  return questions.map(({ adGroupId, productId, kind, match, expression }) => {
    const product = index.get(productId ?? products.get(adGroupId ?? '') ?? '');
    return product === undefined
      ? null
      : suggestBid(world, { kind, match: match ?? null, expression }, product);
  });
}

/** Terms and item codes that the market suggests for an ad group or a product, without those it targets already. */
export async function suggestFor(
  sql: MarketDb,
  account: string,
  world: World,
  { adGroupId, productId }: Pick<SuggestQuestion, 'adGroupId' | 'productId'>,
  most: number,
): Promise<TargetSuggestion[]> {
  const product = productId ?? (await productsOf(sql, account, [adGroupId ?? ''])).get(adGroupId ?? '');
  const at = world.products.findIndex(({ id }) => id === product);
  if (at < 0) return [];
  const known = await sql<{ expression: string }[]>`
    select distinct t.expression from quaymarket.target t where t.account_id = ${account} and t.state <> 'archived'
      and (t.ad_group_id = ${adGroupId ?? null}
        or t.ad_group_id in (select a.ad_group_id from quaymarket.ad a where a.account_id = ${account} and a.product_id = ${productId ?? null}))`;
  return suggestTargets(world, at, new Set(known.map(({ expression }) => matchForm(expression))), most);
}

async function productsOf(sql: MarketDb, account: string, adGroups: string[]): Promise<Map<string, string>> {
  const rows = await sql<{ adGroup: string; product: string }[]>`
    select distinct on (ad_group_id) ad_group_id as "adGroup", product_id as product from quaymarket.ad
    where account_id = ${account} and ad_group_id = any(${adGroups}::text[]) and state = 'enabled' order by ad_group_id, id`;
  return new Map(rows.map(({ adGroup, product }) => [adGroup, product]));
}
