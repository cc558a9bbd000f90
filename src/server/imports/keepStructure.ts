import type { ReportSpec } from '../../connect/reports';
import { formatCount, formatFullDay } from '../../core/units';
import type { Transaction } from '../../db/connection';
import { raiseFigures } from '../../db/queries/accounts';
import type { AccountRow } from '../../db/queries/accounts';
import { setEntityValues } from '../../db/queries/entityValues';
import type { EntityValues } from '../../db/queries/entityValues';
import { bearOut } from '../changes/bearOut';
import type { StructureNote } from './segmentWriter';
import type { StagedImport } from './stagedImport';

const NOTHING: EntityValues = {
  targetId: null,
  campaignId: null,
  adGroupName: null,
  bid: null,
  state: null,
  defaultBid: null,
  adGroupState: null,
  budget: null,
  budgetKind: null,
  campaignState: null,
  top: null,
  rest: null,
  pages: null,
  productId: null,
};

/**
 * Takes over the bids, budgets and states that a report by day told besides its figures: of each place those of its last day.
 * Not where newer days were here before, and not in an account whose structure comes from its market.
 * @param latest what the rows said, by the file's number of their place @param newestBefore last day that was here before the file
 * @returns what became of it, as a sentence; empty where the file said nothing
 */
export async function keepStructure(
  tx: Transaction,
  { id, marketId }: AccountRow,
  spec: ReportSpec,
  latest: ReadonlyMap<number, StructureNote>,
  staged: StagedImport,
  newestBefore: string | undefined,
): Promise<string> {
  if (latest.size === 0) return '';
  if (marketId !== null)
    return 'What it says of bids, budgets and states was left out: they come from the market.';
  const notes = [...latest].sort(([, a], [, b]) =>
    a.day === b.day ? a.line - b.line : a.day < b.day ? -1 : 1,
  );
  const newest = notes.at(-1)![1].day;
  if (newestBefore !== undefined && newest < newestBefore)
    return `What it says of bids, budgets and states was left out: it ends on ${formatFullDay(newest)}, and newer days are here.`;
  const list = notes.flatMap(([number, { values }]): EntityValues[] => {
    const place = staged.placeId(number);
    if (place === null) return [];
    const said = Object.fromEntries(spec.structure.map((field, at) => [field, values[at]]));
    return [{ ...NOTHING, [spec.place === 'target' ? 'targetId' : 'campaignId']: place, ...said }];
  });
  const changed = await setEntityValues(tx, id, list);
  await raiseFigures(tx, id);
  const what = spec.place === 'target' ? ['target', 'targets'] : ['campaign', 'campaigns'];
  const borneOut = await bearOut(tx, id, list);
  const taken = `It also says what stands: bids, budgets or states of ${formatCount(changed)} ${what[changed === 1 ? 0 : 1]} were taken over.`;
  return `${taken} ${borneOut}`.trim();
}
