import type { PartsAsked, WordQuestion, WordsAskedWith } from '../../contract/wordQuestions';
import { matchForm, normaliseTerm } from '../../core/matching';
import { coreList, previewKeyword, rowsOfForm, standingNegatives, wordParts } from '../../core/words';
import type { WordPart } from '../../core/words';
import { sumsOfRows } from '../../core/terms';
import { lineOf, placeText, productOfRow } from './keptWords';
import type { KeptWords } from './keptWords';
import { partDetail } from './partDetail';
import type {
  BlockedAnswer,
  PartDetail,
  PartsAnswer,
  PlacedCoreTerm,
  PreviewAnswer,
  StandingFinding,
  TermLine,
  WordsSummary,
} from './types';

const MOST_PARTS = 500;
const MOST_LINES = 200;
const MOST_EXAMPLES = 5;

/** What each question about words is answered with. */
export interface WordAnswers {
  summary: WordsSummary;
  parts: PartsAnswer;
  part: PartDetail;
  preview: PreviewAnswer;
  /** In the order of the negatives. */
  blocks: { blocks: BlockedAnswer[] };
  standing: { findings: StandingFinding[] };
  core: { terms: PlacedCoreTerm[] };
}

type Answers = { [Q in WordQuestion]: (words: KeptWords, asked: WordsAskedWith[Q]) => WordAnswers[Q] };

const ANSWERS: Answers = {
  summary: (words) => ({
    window: { from: words.from.review.window.from, to: words.from.review.window.to },
    terms: words.check.terms.forms.length,
    products: productsOf(words),
    isCut: words.from.review.isCut,
  }),

  parts: partsOf,

  part: (words, { text, productId }) => partDetail(words, text, productId),

  preview: (words, { expression, match }) => {
    const { terms } = words.check;
    const { caught, missed } = previewKeyword(terms, expression, match);
    const lines = caught.map((form) => lineOf(words, form)).sort(byClicks);
    const others = missed.map(({ form, why }) => ({ ...lineOf(words, form), why })).sort(byClicks);
    const rows = caught.flatMap((form) => Array.from(rowsOfForm(terms, form)));
    return {
      caught: lines.slice(0, MOST_LINES),
      caughtCount: lines.length,
      sums: sumsOfRows(words.context.table, rows),
      missed: others.slice(0, MOST_LINES),
      missedCount: others.length,
    };
  },

  blocks: ({ context, check }, { negatives }) => ({
    blocks: check.blocks(negatives).map(({ rows, sums, sold, targets }) => ({
      sums,
      sold,
      terms: [...new Set(rows.map((row) => context.table.term[row]))].slice(0, MOST_EXAMPLES),
      targets: targets.map(({ id }) => context.structure.target(id)!.expression),
    })),
  }),

  standing: (words) => {
    const { context, check } = words;
    words.standing ??= standingNegatives(context, check);
    const placeOf = ({ campaignId, adGroupId }: { campaignId: number; adGroupId: number | null }) =>
      placeText(context, campaignId, adGroupId);
    return {
      findings: words.standing.map((one) => ({
        ...one,
        place: placeOf(one.negative),
        byPlace: one.by === null ? '' : placeOf(one.by),
      })),
    };
  },

  core: ({ context, check }, { productId, pinned }) => ({
    terms: coreList(context, check.terms, productId, pinned.map(matchForm)).map((one) => ({
      ...one,
      places: one.leaks.map(({ campaignId, adGroupId }) => placeText(context, campaignId, adGroupId)),
    })),
  }),
};

/** Answers a question about an account's words. */
export const answerWords = <Q extends WordQuestion>(
  words: KeptWords,
  question: Q,
  asked: WordsAskedWith[Q],
): WordAnswers[Q] => ANSWERS[question](words, asked);

const byClicks = (a: TermLine, b: TermLine) => b.sums.clicks - a.sums.clicks;

function partsOf(words: KeptWords, asked: PartsAsked): PartsAnswer {
  const { context, check } = words;
  const { productId, length, text, sort, ...settings } = asked;
  // What is blocked already costs nothing any more.
  const isWanted = (row: number) =>
    (productId === null || productOfRow(context, row) === productId) && !words.isBlocked(row);
  const key = JSON.stringify([productId, settings]);
  if (words.parts?.key !== key)
    words.parts = { key, parts: wordParts(check.terms, context.table, isWanted, settings) };
  const wanted = normaliseTerm(text);
  const found = words.parts.parts.filter(
    (part) => (length === null || part.length === length) && (wanted === '' || part.text.includes(wanted)),
  );
  const valueOf = (part: WordPart) =>
    sort === 'excess' ? part.excess : sort === 'terms' ? part.terms : part.sums[sort];
  const parts = [...found].sort((a, b) => valueOf(b) - valueOf(a)).slice(0, MOST_PARTS);
  return { parts, found: found.length };
}

/** The products whose ad groups have terms, best sellers first. */
function productsOf({ context, from: { tree } }: KeptWords): WordsSummary['products'] {
  const lines = new Map(tree.lines.map(({ id, name }) => [id, name]));
  const known = new Map(
    tree.products.map(({ id, name, lineId }) => [id, { name, line: lines.get(lineId ?? 0) ?? '' }]),
  );
  const sales = new Map<number, number>();
  for (let row = 0; row < context.table.size; row += 1) {
    const product = productOfRow(context, row);
    if (product !== null) sales.set(product, (sales.get(product) ?? 0) + context.table.sales[row]);
  }
  return [...sales]
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => ({ id, ...(known.get(id) ?? { name: `product ${id}`, line: '' }) }));
}
