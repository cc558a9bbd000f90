import type { Sums } from '../measures';
import { matchForm } from '../matching';
import type { NegativePlace } from '../negatives';
import { sumsOfRows } from '../terms';
import type { TermContext } from '../terms';
import { blockedForms, rowsOfForm } from './blocking';
import type { Blocker } from './blocking';
import { termWords } from './termWords';
import type { TermWords } from './termWords';

/** A negative in its place. */
export type PlacedNegative = Blocker & NegativePlace;

/** Whether a negative holds in an ad group of a campaign. */
export function holdsIn(negative: NegativePlace, adGroupId: number, campaignId: number): boolean {
  return negative.adGroupId === null ? negative.campaignId === campaignId : negative.adGroupId === adGroupId;
}

/** What a negative would block, or blocks, in its place. */
export interface Blocks {
  /** Rows of terms that ran there, most sales first. */
  rows: number[];
  /** What they came to in the window. */
  sums: Sums;
  /** How many of them sold. */
  sold: number;
  /** Live targets there that it keeps from showing. */
  targets: number[];
}

/** Answers for many negatives what they block; the context's window says what counts as past. */
export interface NegativeCheck {
  blocks: (negatives: readonly PlacedNegative[]) => Blocks[];
  terms: TermWords;
}

/** Prepares the check: terms and keywords by their words. */
export function negativeCheck(context: TermContext): NegativeCheck {
  const terms = termWords(context.forms, context.normalised);
  const { table, structure } = context;
  const keywords = structure.targets.filter(
    ({ kind, state }) => state === 'enabled' && (kind === 'keyword' || kind === 'item'),
  );
  const keywordForms = keywords.map(({ expression }) => matchForm(expression));
  const keywordWords = termWords(keywordForms, keywordForms);
  return {
    terms,
    blocks: (negatives) => {
      const ofTerms = blockedForms(terms, negatives);
      const ofKeywords = blockedForms(keywordWords, negatives);
      return negatives.map((negative, at) => {
        const rows: number[] = [];
        let sold = 0;
        for (const form of ofTerms[at])
          for (const row of rowsOfForm(terms, form)) {
            if (!holdsIn(negative, table.adGroupId[row], table.campaignId[row])) continue;
            rows.push(row);
            if (table.orders[row] > 0) sold += 1;
          }
        rows.sort((a, b) => table.sales[b] - table.sales[a] || table.clicks[b] - table.clicks[a]);
        const blocked = ofKeywords[at].flatMap((form) =>
          Array.from(rowsOfForm(keywordWords, form), (place) => keywords[place]).filter(({ adGroupId }) => {
            const adGroup = structure.adGroup(adGroupId);
            return adGroup !== undefined && holdsIn(negative, adGroupId, adGroup.campaignId);
          }),
        );
        return { rows, sums: sumsOfRows(table, rows), sold, targets: blocked.map(({ id }) => id) };
      });
    },
  };
}
