import { isItemCode, matchForm, writeItemCode } from '../../../core/matching';
import type { NegativeMatch } from '../../../core/matching';
import type { NegativeList } from '../../../core/negatives';
import type { NegativeListInfo } from '../../../contract/words';
import type { NewChange } from '../../../contract/changes';

/** The negatives that a list lacks in its campaigns, as changes that name it. */
export const stageMissing = ({ id, name, missing }: NegativeListInfo): NewChange[] =>
  missing.map(({ campaignId, match, expression }) => ({
    change: { kind: 'add-negative', campaignId, adGroupId: null, match, expression },
    reason: `On the list “${name}”, which is kept over this campaign.`,
    figures: { step: 'negatives' },
    carries: { listId: id },
    effect: { spend: 0, sales: 0 },
  }));

/** Lifts the negatives that a list made and no longer asks for. */
export const liftExcess = ({ id, name, excess }: NegativeListInfo): NewChange[] =>
  excess.map((negative) => ({
    change: { kind: 'archive-negative', negativeId: negative.id },
    reason: `“${negative.expression}” was taken off the list “${name}”, or the campaign was.`,
    figures: { step: 'negatives' },
    carries: { listId: id },
    effect: { spend: 0, sales: 0 },
  }));

/**
 * A pasted text as terms of a list: one a line (commas, semicolons and tabs part them too). Item codes become item negatives; what the list
 * holds already is left out.
 */
export function pastedTerms(
  text: string,
  match: Exclude<NegativeMatch, 'item'>,
  known: NegativeList['terms'],
): NegativeList['terms'] {
  const keyOf = (term: NegativeList['terms'][number]) => `${term.match} ${matchForm(term.expression)}`;
  const seen = new Set(known.map(keyOf));
  return text.split(/[\n,;\t]+/).flatMap((line) => {
    const expression = line.trim().replace(/\s+/g, ' ');
    if (matchForm(expression) === '') return [];
    const term = isItemCode(expression)
      ? ({ match: 'item', expression: writeItemCode(expression) } as const)
      : { match, expression };
    if (seen.has(keyOf(term))) return [];
    seen.add(keyOf(term));
    return [term];
  });
}
