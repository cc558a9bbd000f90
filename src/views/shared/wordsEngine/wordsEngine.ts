import { matchForm, normaliseTerm } from '../../../core/matching';
import {
  coreList,
  negativeCheck,
  previewKeyword,
  rowsOfForm,
  standingNegatives,
  wordParts,
  WORDS_DAYS,
} from '../../../core/words';
import type { CoreTerm, NegativeFinding, PlacedNegative, WordPart } from '../../../core/words';
import { sumsOfRows, termContext } from '../../../core/terms';
import type { TermContext } from '../../../core/terms';
import { addDays } from '../../../core/units';
import { api } from '../api';
import { keptLoads } from '../worker/keptLoads';
import { toTermTable } from '../../../plans/terms';
import { lineOf, placeText, productOfRow } from './keptWords';
import type { KeptWords } from './keptWords';
import { partDetail } from './partDetail';
import type {
  BlockedAnswer,
  LoadedWords,
  PartDetail,
  PartsAnswer,
  PartsAsked,
  PreviewAnswer,
  PreviewAsked,
  TermLine,
} from './types';

/** Terms of so many accounts, or states of one, are kept. */
const KEPT = 2;
const MOST_PARTS = 500;
const MOST_LINES = 200;
const MOST_EXAMPLES = 5;

/** Loads an account's search terms and answers what is asked of their words; lives in a worker. */
export function wordsEngine(server: Pick<typeof api, 'review' | 'tree'> = api) {
  let lastLoad = 0;
  const loads = keptLoads<KeptWords>(KEPT);
  let known: { key: string; parts: WordPart[] } | null = null;

  const ofLoad = loads.get;

  return {
    /** Fetches the terms of the last 90 days and keeps them. */
    async load(account: number, lastDay: string): Promise<LoadedWords> {
      const loadId = (lastLoad += 1);
      const [{ rows, structure, account: info, window, historyDays, isCut }, tree] = await Promise.all([
        server.review(account, addDays(lastDay, 1 - WORDS_DAYS), lastDay),
        server.tree(account),
      ]);
      const context = termContext(toTermTable(rows, historyDays), structure);
      const check = negativeCheck(context);
      const lines = new Map(tree.lines.map(({ id, name }) => [id, name]));
      const products = new Map(
        tree.products.map(({ id, name, lineId }) => [id, { name, line: lines.get(lineId ?? 0) ?? '' }]),
      );
      const loaded = {
        loadId,
        account: info,
        window,
        terms: check.terms.forms.length,
        products: productsOf(context, products),
        isCut,
      };
      loads.put(loadId, { loadId, context, check, isBlocked: blockedRows(context) });
      return loaded;
    },

    /** Word parts of the account or a product; null for another load. */
    parts(loadId: number, asked: PartsAsked): PartsAnswer | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      const { context, check } = at;
      const { productId, length, text, sort, ...settings } = asked;
      // What is blocked already costs nothing any more.
      const isWanted = (row: number) =>
        (productId === null || productOfRow(context, row) === productId) && !at.isBlocked(row);
      const key = JSON.stringify([loadId, productId, settings]);
      if (known?.key !== key)
        known = { key, parts: wordParts(check.terms, context.table, isWanted, settings) };
      const wanted = normaliseTerm(text);
      const found = known.parts.filter(
        (part) =>
          (length === null || part.length === length) && (wanted === '' || part.text.includes(wanted)),
      );
      const valueOf = (part: WordPart) =>
        sort === 'excess' ? part.excess : sort === 'terms' ? part.terms : part.sums[sort];
      const parts = [...found].sort((a, b) => valueOf(b) - valueOf(a)).slice(0, MOST_PARTS);
      return { parts, found: found.length };
    },

    /** Which terms hold a part and where they ran; null for another load. */
    part(loadId: number, text: string, productId: number | null): PartDetail | null {
      const at = ofLoad(loadId);
      return at && partDetail(at, text, productId);
    },

    /** What a keyword would catch; null for another load. */
    preview(loadId: number, { expression, match }: PreviewAsked): PreviewAnswer | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      const { caught, missed } = previewKeyword(at.check.terms, expression, match);
      const lines = caught.map((form) => lineOf(at, form)).sort(byClicks);
      const others = missed.map(({ form, why }) => ({ ...lineOf(at, form), why })).sort(byClicks);
      const rows = caught.flatMap((form) => Array.from(rowsOfForm(at.check.terms, form)));
      return {
        caught: lines.slice(0, MOST_LINES),
        caughtCount: lines.length,
        sums: sumsOfRows(at.context.table, rows),
        missed: others.slice(0, MOST_LINES),
        missedCount: others.length,
      };
    },

    /** What negatives would have blocked; null for another load. */
    blocks(loadId: number, negatives: PlacedNegative[]): BlockedAnswer[] | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      const { context, check } = at;
      return check.blocks(negatives).map(({ rows, sums, sold, targets }) => ({
        sums,
        sold,
        terms: [...new Set(rows.map((row) => context.table.term[row]))].slice(0, MOST_EXAMPLES),
        targets: targets.map(({ id }) => context.structure.target(id)!.expression),
      }));
    },

    /** What is odd about the negatives that stand; null for another load. */
    standing(loadId: number): (NegativeFinding & { place: string; byPlace: string })[] | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      const placeOf = ({ campaignId, adGroupId }: { campaignId: number; adGroupId: number | null }) =>
        placeText(at.context, campaignId, adGroupId);
      return standingNegatives(at.context, at.check).map((one) => ({
        ...one,
        place: placeOf(one.negative),
        byPlace: one.by === null ? '' : placeOf(one.by),
      }));
    },

    /** The core list of a product; null for another load. */
    core(loadId: number, productId: number, pinned: string[]): (CoreTerm & { places: string[] })[] | null {
      const at = ofLoad(loadId);
      if (!at) return null;
      return coreList(at.context, at.check.terms, productId, pinned.map(matchForm)).map((one) => ({
        ...one,
        places: one.leaks.map(({ campaignId, adGroupId }) => placeText(at.context, campaignId, adGroupId)),
      }));
    },
  };
}

export type WordsEngine = ReturnType<typeof wordsEngine>;

const byClicks = (a: TermLine, b: TermLine) => b.sums.clicks - a.sums.clicks;

/** Whether a row's term is negative by now in the ad group where it ran; asked for each once. */
function blockedRows({ table, structure, forms }: TermContext): (row: number) => boolean {
  const known = new Int8Array(table.size).fill(-1);
  return (row) => {
    if (known[row] === -1) {
      const adGroup = structure.adGroup(table.adGroupId[row]);
      known[row] = adGroup !== undefined && structure.isNegativeIn(forms[row], adGroup) ? 1 : 0;
    }
    return known[row] === 1;
  };
}

/** The products whose ad groups have terms, those of a line together; best sellers first. */
function productsOf(
  context: TermContext,
  known: ReadonlyMap<number, { name: string; line: string }>,
): LoadedWords['products'] {
  const sales = new Map<number, number>();
  for (let row = 0; row < context.table.size; row += 1) {
    const product = productOfRow(context, row);
    if (product !== null) sales.set(product, (sales.get(product) ?? 0) + context.table.sales[row]);
  }
  return [...sales]
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => ({ id, ...(known.get(id) ?? { name: `product ${id}`, line: '' }) }));
}
