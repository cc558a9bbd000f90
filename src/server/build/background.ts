import type { FieldSumsAnswer } from '../../contract/api';
import type { MarketOptions } from '../../contract/market';
import { partOf, worthOfClick } from '../../core/build';
import type { LikeTarget, PartName, PlanGround } from '../../core/build';
import { isBlocked, KEYWORD_MATCHES, kindReader, matchForm, negativeSet } from '../../core/matching';
import type { NegativeSet } from '../../core/matching';
import { groupBy } from '../../core/order';
import { indexStructure, indexTree, isExactTarget, PLACEMENTS } from '../../core/structure';
import type { StructureIndex, TreeIndex } from '../../core/structure';
import { daysIn, DAYS_PER_MONTH } from '../../core/units';
import { listProducts } from '../../db/queries/economics';
import type { ProductRow } from '../../db/queries/economics';
import type { AccountRow } from '../../db/queries/accounts';
import { listBrands } from '../../db/queries/buildPlans';
import { listNegatives } from '../../db/queries/structure';
import { db } from '../context/context';
import { forAll } from '../context/reading';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';

/** What plans of an account are worked out with, as long as its figures and entities stay as they are. */
export interface Background {
  index: TreeIndex;
  structure: StructureIndex;
  products: ReadonlyMap<number, ProductRow>;
  /** Item codes of the account's products, upper case. */
  ownCodes: ReadonlySet<string>;
  likes: LikeTarget[];
  /** Running targets of a product, by part. */
  has: ReadonlyMap<number, Partial<Record<PartName, number>>>;
  brands: string[];
  worth: (part: PartName, productId: number) => number | null;
  /** Of the window, micros; null without clicks. */
  usualCpc: number | null;
  /** Sales per click and clicks of a product's ads in the window. */
  clicksOf: (productId: number) => { clicks: number; sales: number };
}

const kept = new Map<number, { revision: number; made: Promise<Background> }>();
/** That of a large account is large too. */
const MOST_KEPT = 2;

/** The background of an account's plans; kept by its revision, for a plan is looked at after every edit. */
export function loadBackground({ id, revision }: Pick<AccountRow, 'id' | 'revision'>): Promise<Background> {
  const known = kept.get(id);
  if (known?.revision === revision) return known.made;
  const made = forAll(() => prepare(id));
  kept.delete(id);
  kept.set(id, { revision, made });
  made.catch(() => kept.delete(id));
  for (const other of [...kept.keys()].slice(0, Math.max(0, kept.size - MOST_KEPT))) kept.delete(other);
  return made;
}

async function prepare(accountId: number): Promise<Background> {
  const [tree, negatives, products, sums, brands] = await Promise.all([
    loadTree(accountId),
    listNegatives(db(), accountId),
    listProducts(db(), accountId),
    loadFieldSums({ account: accountId, grain: 'target' }),
    listBrands(db(), accountId),
  ]);
  const index = indexTree(tree);
  const ownCodes = new Set(products.map(({ itemCode }) => itemCode.toUpperCase()));
  const likes = likesOf(index, ownCodes, sums);
  const days = daysIn(sums.window.from, sums.window.to);
  const byProduct = groupBy(likes, ({ productId }) => productId);
  const total = likes.reduce(
    (all, { clicks, spend }) => ({ clicks: all.clicks + clicks, spend: all.spend + spend }),
    {
      clicks: 0,
      spend: 0,
    },
  );
  return {
    index,
    structure: indexStructure({ ...tree, negatives }),
    products: new Map(products.map((row) => [row.id, row])),
    ownCodes,
    likes,
    has: countParts(likes),
    brands,
    worth: (part, productId) => worthOfClick(likes, part, productId, index.placeOfProduct(productId).lineId),
    usualCpc: total.clicks > 0 ? total.spend / total.clicks : null,
    clicksOf: (productId) =>
      (byProduct.get(productId) ?? []).reduce(
        (all, { clicks, sales }) => ({
          clicks: all.clicks + (clicks * days) / DAYS_PER_MONTH,
          sales: all.sales + (sales * days) / DAYS_PER_MONTH,
        }),
        { clicks: 0, sales: 0 },
      ),
  };
}

function countParts(likes: readonly LikeTarget[]): Background['has'] {
  const has = new Map<number, Partial<Record<PartName, number>>>();
  for (const { productId, part } of likes) {
    const own = has.get(productId) ?? {};
    own[part] = (own[part] ?? 0) + 1;
    has.set(productId, own);
  }
  return has;
}

/** What every target that runs did in a month. */
function likesOf(
  index: TreeIndex,
  own: ReadonlySet<string>,
  { columns, window }: FieldSumsAnswer,
): LikeTarget[] {
  const perMonth = DAYS_PER_MONTH / daysIn(window.from, window.to);
  const rowsOf = groupBy(
    Array.from(columns.targetId, (id, row) => ({ id, row })),
    ({ id }) => id,
  );
  return index.tree.targets.flatMap((target) => {
    const part = partOf(target, own.has(target.expression.toUpperCase()));
    const { campaignId, productId, lineId } = index.placeOfTarget(target.id);
    if (target.state !== 'enabled' || part === undefined || !index.campaignRuns(campaignId)) return [];
    const sum = (column: 'clicks' | 'orders' | 'spend' | 'sales') =>
      perMonth * (rowsOf.get(target.id) ?? []).reduce((all, { row }) => all + columns[column][row], 0);
    return [
      {
        part,
        productId,
        lineId,
        clicks: sum('clicks'),
        orders: sum('orders'),
        spend: sum('spend'),
        sales: sum('sales'),
      },
    ];
  });
}

/** What a market offers to plans; what it does not tell is as usual. */
export const offersOf = (options: MarketOptions | null): PlanGround['offers'] => ({
  matches: options?.matches ?? KEYWORD_MATCHES,
  productTargets: options?.productTargets ?? true,
  modifiers: options?.modifiers ?? PLACEMENTS,
  bidFlex: options?.bidFlex ?? true,
  budgetKinds: options?.budgetKinds ?? ['daily'],
  mostKeywords: options?.mostTargets ?? 1000,
  mostNegatives: options?.mostNegatives ?? 1000,
  adGroupBudgets: options?.adGroupBudgets ?? false,
  similarCategories: options?.similarCategories ?? false,
});

/**
 * What stands in campaigns of some products against terms. An exact negative is how a term that has a home is kept out elsewhere: only phrases and items
 * speak against it.
 */
function negativesOf(
  structure: StructureIndex,
  index: TreeIndex,
  products: readonly number[],
  made: ReadonlySet<number>,
): { campaignId: number; set: NegativeSet }[] {
  const standing = structure.negatives.filter(
    ({ campaignId, match, state }) =>
      state !== 'archived' &&
      match !== 'exact' &&
      !made.has(campaignId) &&
      products.includes(index.productOfCampaign.get(campaignId) ?? 0),
  );
  return [...groupBy(standing, ({ campaignId }) => campaignId)].map(([campaignId, list]) => ({
    campaignId,
    set: negativeSet(list),
  }));
}

/**
 * What a plan is held against.
 * @param made campaigns that the plan has made itself: they are no contradiction to it
 */
export function groundOf(
  account: AccountRow,
  { index, structure, products }: Background,
  taken: readonly { id: number; name: string }[],
  today: string,
  made: ReadonlySet<number>,
): PlanGround {
  const names = (campaignId: number) => index.campaigns.get(campaignId)?.name ?? null;
  const readKind = kindReader(index.tree.lists);
  let standing: ReturnType<typeof negativesOf> | undefined;
  return {
    limits: account.limits,
    offers: offersOf(account.options),
    today,
    products: new Map(
      [...products.values()].map(({ id, name, itemCode }) => [
        id,
        { name, itemCode, margin: index.products.get(id)?.margin ?? null },
      ]),
    ),
    taken: new Set(taken.flatMap(({ id, name }) => (made.has(id) ? [] : [name]))),
    lines: new Set(index.tree.lines.map(({ name }) => name)),
    exactIn: (form, wanted) => {
      const found = structure.exactTargets(form).find((target) => {
        const { campaignId, productId } = index.placeOfTarget(target.id);
        return (
          isExactTarget(target) &&
          wanted.includes(productId) &&
          !made.has(campaignId) &&
          index.campaignRuns(campaignId)
        );
      });
      return found ? names(index.placeOfTarget(found.id).campaignId) : null;
    },
    negativeIn: (form, wanted) => {
      const found = (standing ??= negativesOf(structure, index, wanted, made)).find(({ set }) =>
        isBlocked(form, set),
      );
      return found ? names(found.campaignId) : null;
    },
    unwanted: (text) => {
      const kind = readKind(text, matchForm(text));
      return kind.name === 'never wanted' ? kind.word : null;
    },
  };
}
