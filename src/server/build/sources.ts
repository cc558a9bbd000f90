import type { SourceTerm, TermSource } from '../../contract/build';
import { MowingError } from '../../contract/mowingError';
import { isItemCode, matchForm, normaliseTerm, onceByForm, writeItemCode } from '../../core/matching';
import { NO_SUMS } from '../../core/measures';
import type { TermTable } from '../../core/terms';
import { coreCount, termWords, wordParts } from '../../core/words';
import type { AccountRow } from '../../db/queries/accounts';
import { listPinned } from '../../db/queries/coreTerms';
import { listProductTerms } from '../../db/queries/productTerms';
import type { ProductTerm } from '../../db/queries/productTerms';
import { marketIds } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { db } from '../context/context';
import { market } from '../market/market';
import { loadBackground } from './background';

/**
 * Terms and items for a plan: what sold for the product, its core list, the parts its selling terms share, or what the market suggests.
 * A product that has no terms of its own is helped by those of its line.
 */
export async function loadSource(
  accountId: number,
  productId: number,
  from: TermSource,
): Promise<{ terms: SourceTerm[]; of: 'product' | 'line' | 'market' }> {
  const account = await needAccount(accountId);
  if (from === 'market') return { terms: await fromMarket(account, productId), of: 'market' };
  const window = await chooseWindow(account);
  const own = await listProductTerms(db(), accountId, [productId], window);
  const of = own.length > 0 ? ('product' as const) : ('line' as const);
  const terms = own.length > 0 ? own : await ofLine(account, productId, window);
  const pinned = (await listPinned(db(), accountId)).filter((one) => one.productId === productId);
  switch (from) {
    case 'sold':
      return { of, terms: terms.filter(({ orders }) => orders > 0).map(toSource) };
    case 'core': {
      const total = terms.reduce((sum, { sales }) => sum + sales, 0);
      const core = terms.slice(0, coreCount(terms, total)).map(toSource);
      const listed = pinned.map(({ term }) => ({ ...NONE, text: term, isItem: isItemCode(term) }));
      return { of, terms: onceByForm([...core, ...listed], ({ text }) => text) };
    }
    case 'parts':
      return { of, terms: partsOf(terms, account.targetAcos) };
  }
}

const NONE = { clicks: null, orders: null, sales: null, weeklySearches: null };

const toSource = ({ text, clicks, orders, sales }: ProductTerm): SourceTerm => {
  const isItem = isItemCode(text);
  return { text: isItem ? writeItemCode(text) : text, isItem, clicks, orders, sales, weeklySearches: null };
};

async function ofLine(account: AccountRow, productId: number, window: { from: string; to: string }) {
  const { index } = await loadBackground(account);
  const { lineId } = index.placeOfProduct(productId);
  const others = index.tree.products
    .filter((one) => lineId !== 0 && one.lineId === lineId)
    .map(({ id }) => id);
  return listProductTerms(db(), account.id, others, window);
}

/** Parts with fewer clicks say too little. */
const LEAST_CLICKS = 10;

/** Two or three words that selling terms share. */
function partsOf(terms: readonly ProductTerm[], targetAcos: number): SourceTerm[] {
  const words = termWords(
    terms.map(({ text }) => matchForm(text)),
    terms.map(({ text }) => normaliseTerm(text)),
  );
  return wordParts(words, tableOf(terms), () => true, { targetAcos, minClicks: LEAST_CLICKS })
    .filter(({ length, sums }) => length > 1 && sums.orders > 0)
    .sort((a, b) => b.sums.sales - a.sums.sales)
    .slice(0, 200)
    .map(({ text, sums: { clicks, orders, sales } }) => ({
      text,
      isItem: false,
      clicks,
      orders,
      sales,
      weeklySearches: null,
    }));
}

function tableOf(terms: readonly ProductTerm[]): TermTable {
  const zeros = new Int32Array(terms.length);
  const sums = Object.fromEntries(
    (Object.keys(NO_SUMS) as (keyof typeof NO_SUMS)[]).map((figure) => [
      figure,
      Float64Array.from(terms, (term) => term[figure]),
    ]),
  ) as Pick<TermTable, keyof typeof NO_SUMS>;
  return {
    size: terms.length,
    term: terms.map(({ text }) => text),
    termId: zeros,
    adGroupId: zeros,
    campaignId: zeros,
    targetId: zeros,
    targetCount: zeros,
    days: zeros,
    firstDay: zeros,
    ...sums,
  };
}

async function fromMarket(account: AccountRow, productId: number): Promise<SourceTerm[]> {
  if (account.marketId === null)
    throw new MowingError('conflict', `${account.name} is fed by files; no market suggests terms for it.`);
  const product = (await marketIds(db(), account.id, 'product', [productId])).get(productId);
  if (!product) throw new MowingError('not-found', `The market does not know product ${productId}.`);
  const suggested = await market().suggestTargets(account.marketId, { product });
  return suggested.map(({ kind, expression, weeklySearches }) => ({
    ...NONE,
    text: expression,
    isItem: kind === 'item',
    weeklySearches,
  }));
}
