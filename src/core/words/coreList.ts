import type { Sums } from '../measures';
import { NO_SUMS } from '../measures';
import type { Target } from '../structure';
import { sumsOfRow, sumsOfRows } from '../terms';
import type { TermContext } from '../terms';
import type { TermWords } from './termWords';

/** A term that matters for a product, and where its traffic goes. */
export interface CoreTerm {
  /** As shoppers write it most. */
  term: string;
  form: string;
  isPinned: boolean;
  /** In all ad groups of the product. */
  sums: Sums;
  /** Its exact target in the product's ad groups; null while it has no home. */
  home: Target | null;
  /** Share of its clicks that go to the home's ad group; null without clicks. */
  atHome: number | null;
  /** Ad groups that take its clicks away from home, most clicks first. */
  leaks: { adGroupId: number; campaignId: number; sums: Sums; isBlocked: boolean }[];
}

/** A list is proposed until it holds this share of the product's sales. */
const SALES_SHARE = 0.8;
const MOST_CORE = 50;

/** How many of a product's terms, the most sales first, are its core: until they hold four fifths of its sales, fifty at most. */
export function coreCount(bySales: readonly Pick<Sums, 'sales' | 'orders'>[], total: number): number {
  let sales = 0;
  const end = bySales.findIndex((sums, at) => {
    if (at >= MOST_CORE || sales >= SALES_SHARE * total || sums.orders === 0) return true;
    sales += sums.sales;
    return false;
  });
  return end < 0 ? bySales.length : end;
}

/**
 * The terms that matter for a product: those that are pinned, then the ones that sold most until four fifths of its sales, or fifty terms,
 * are in. Each with its home and with what leaks elsewhere.
 * @param pinned forms
 */
export function coreList(
  context: TermContext,
  terms: TermWords,
  productId: number,
  pinned: readonly string[],
): CoreTerm[] {
  const { table, structure } = context;
  const isOfProduct = (row: number) => structure.adGroup(table.adGroupId[row])?.productId === productId;
  const rowsOf = new Map<number, number[]>();
  for (let row = 0; row < table.size; row += 1) {
    if (!isOfProduct(row)) continue;
    const form = terms.formOfRow[row];
    const list = rowsOf.get(form);
    if (list) list.push(row);
    else rowsOf.set(form, [row]);
  }
  const bySales = [...rowsOf]
    .map(([form, rows]) => ({ form, rows, sums: sumsOfRows(table, rows) }))
    .sort((a, b) => b.sums.sales - a.sums.sales || b.sums.clicks - a.sums.clicks);
  const total = bySales.reduce((sum, { sums }) => sum + sums.sales, 0);
  const wanted = new Set(pinned);
  const count = coreCount(
    bySales.map(({ sums }) => sums),
    total,
  );
  const isIn = new Set(bySales.slice(0, count).map(({ form }) => terms.forms[form]));
  const listed = bySales
    .filter(({ form }) => isIn.has(terms.forms[form]) || wanted.has(terms.forms[form]))
    .map(({ form, rows, sums }) =>
      coreTerm(context, terms.forms[form], rows, sums, productId, wanted.has(terms.forms[form])),
    );
  // Pinned terms that nobody searched for in the window are kept: that, too, is worth knowing.
  const met = new Set(listed.map(({ form }) => form));
  const unseen = pinned
    .filter((form) => !met.has(form))
    .map((form) => coreTerm(context, form, [], { ...NO_SUMS }, productId, true));
  return [
    ...listed.filter(({ isPinned }) => isPinned),
    ...unseen,
    ...listed.filter(({ isPinned }) => !isPinned),
  ];
}

function coreTerm(
  { table, structure }: TermContext,
  form: string,
  rows: number[],
  sums: Sums,
  productId: number,
  isPinned: boolean,
): CoreTerm {
  const homes = structure
    .exactTargets(form)
    .filter(
      ({ adGroupId, state }) => state === 'enabled' && structure.adGroup(adGroupId)?.productId === productId,
    );
  const clicksIn = (adGroupId: number) =>
    rows.reduce((sum, row) => sum + (table.adGroupId[row] === adGroupId ? table.clicks[row] : 0), 0);
  const home = homes.sort((a, b) => clicksIn(b.adGroupId) - clicksIn(a.adGroupId))[0] ?? null;
  const most = rows.reduce((best, row) => (table.clicks[row] > table.clicks[best] ? row : best), rows[0]);
  return {
    term: most === undefined ? form : table.term[most],
    form,
    isPinned,
    sums,
    home,
    atHome: sums.clicks === 0 || home === null ? null : clicksIn(home.adGroupId) / sums.clicks,
    leaks: rows
      .filter((row) => table.clicks[row] > 0 && table.adGroupId[row] !== home?.adGroupId)
      .sort((a, b) => table.clicks[b] - table.clicks[a])
      .map((row) => {
        const adGroup = structure.adGroup(table.adGroupId[row])!;
        return {
          adGroupId: adGroup.id,
          campaignId: adGroup.campaignId,
          sums: sumsOfRow(table, row),
          isBlocked: structure.isNegativeIn(form, adGroup),
        };
      }),
  };
}
