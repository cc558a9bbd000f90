import type { Sums } from '../measures';
import { matchForm } from '../matching';
import type { NegativePlace } from '../negatives';
import { sumsOfRows } from '../terms';
import type { TermContext } from '../terms';
import { blockedForms, rowsOfForm } from './blocking';
import type { Blocker } from './blocking';
import { isWorthAWord, stoppedShare } from './stoppedTargets';
import type { StoppedTarget } from './stoppedTargets';
import { groupBy } from '../order';
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
  /** Live targets there that it keeps from terms of their own, with the share of these. */
  targets: StoppedTarget[];
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
  let rowsOfTarget: Map<number, number[]> | undefined;
  /** Share of a target's clicks that went to some rows; null without a click. */
  const shareOf = (id: number, some: ReadonlySet<number>): number | null => {
    rowsOfTarget ??= groupBy(Array.from(table.term.keys()), (row) => table.targetId[row]);
    let [all, part] = [0, 0];
    for (const row of rowsOfTarget.get(id) ?? []) {
      all += table.clicks[row];
      if (some.has(row)) part += table.clicks[row];
    }
    return all > 0 ? part / all : null;
  };
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
        const stopped = new Set(rows);
        const targets = blocked.map((target) => ({
          id: target.id,
          share: stoppedShare(negative, target, () => shareOf(target.id, stopped)),
        }));
        return { rows, sums: sumsOfRows(table, rows), sold, targets: targets.filter(isWorthAWord) };
      });
    },
  };
}
