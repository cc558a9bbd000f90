import type { ChoiceKey, RowReader, TextKey } from '../conditions';
import { normaliseTerm } from '../matching';
import type { TreeIndex } from '../structure';
import { lensReader } from './lensReader';
import { STATES } from './lensTable';
import type { LensTable } from './lensTable';

/** Reads the rows of a lens together with what they hang below: their campaign, product and line. */
export function treeReader(table: LensTable, index: TreeIndex): RowReader {
  const own = lensReader(table);
  const { campaignId, productId, lineId, state, isStoppedAbove, targetAcos } = table;
  const campaign = (row: number) => index.campaigns.get(campaignId[row]);
  const names = new Map<string, string>();
  const normal = (text: string) => {
    let form = names.get(text);
    if (form === undefined) names.set(text, (form = normaliseTerm(text)));
    return form;
  };
  const texts: Partial<Record<TextKey, (row: number) => string>> = {
    product: (row) => normal(index.products.get(productId[row])?.name ?? ''),
    line: (row) => normal(index.lines.get(lineId[row]) ?? ''),
  };
  const runs = (row: number) =>
    STATES[state[row]] === 'enabled' &&
    isStoppedAbove[row] === 0 &&
    (campaignId[row] === 0 || index.campaignRuns(campaignId[row]));
  const choices: Partial<Record<ChoiceKey, (row: number) => string>> = {
    running: (row) => (runs(row) ? 'yes' : 'no'),
    campaignState: (row) => campaign(row)?.state ?? '',
    flex: (row) => campaign(row)?.flex ?? '',
    aim: (row) => (Number.isNaN(targetAcos[row]) ? 'missing' : 'known'),
  };
  return {
    ...own,
    text: (key) => texts[key] ?? own.text(key),
    choice: (key) => choices[key] ?? own.choice(key),
  };
}
