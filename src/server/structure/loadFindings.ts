import { createHash, randomUUID } from 'node:crypto';
import type { FieldSumsAnswer } from '../../contract/api';
import type { AccountTreeColumns } from '../../contract/field';
import { FINDINGS_QUEUE } from '../../contract/findings';
import type { FindingsAnswer } from '../../contract/findings';
import { unpack } from '../../contract/packed';
import { changeKey } from '../../core/changes';
import { FINDING_KINDS } from '../../core/findings';
import { pickNumbers } from '../../core/order';
import { indexTree, TARGET_KINDS, TARGET_STATES } from '../../core/structure';
import type { TargetColumns, TreeIndex } from '../../core/structure';
import type { AccountRow } from '../../db/queries/accounts';
import { listChangeRows } from '../../db/queries/changes';
import { listProducts } from '../../db/queries/economics';
import { listRefined } from '../../db/queries/refined';
import { listRoutes } from '../../db/queries/routes';
import { listNegatives } from '../../db/queries/structure';
import { BETWEEN_TEXTS } from '../../plans/findings';
import type { FindingsFrom, FoundColumns, FoundIn } from '../../plans/findings';
import { needAccount } from '../accounts/accounts';
import { loadAside } from '../aside/aside';
import { db } from '../context/context';
import { keptRead } from '../context/keptReads';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTreeColumns } from '../field/loadTree';
import { offersOf } from '../build/background';
import { askThread } from '../threads/askThread';
import { leastBids } from './leastBids';
import { ruledSets } from './ruledSets';

/** What is found in an account's structure, from the usual window. */
export async function loadFindings(account: number): Promise<FindingsAnswer> {
  const [{ window, infos }, { aside }, staged, sending] = await Promise.all([
    foundIn(account),
    loadAside(account),
    listChangeRows(db(), account, { state: 'staged' }),
    listChangeRows(db(), account, { state: 'sending' }),
  ]);
  const put = new Set(aside.filter(({ queue }) => queue === FINDINGS_QUEUE).map(({ subject }) => subject));
  const pending = new Set([...staged, ...sending].map(({ key }) => key));
  return {
    window,
    sorts: FINDING_KINDS.map(({ kind, label, usual, money }) => ({ kind, label, usual, money })),
    findings: infos.filter(
      ({ subject, mend }) =>
        !put.has(subject) && !(mend.length > 0 && mend.every((change) => pending.has(changeKey(change)))),
    ),
    aside: infos.filter(({ subject }) => put.has(subject)).length,
  };
}

/** What was found while the market told only a part: good for now, and looked for again. */
class FoundInPart extends Error {
  readonly found: FoundIn;

  constructor(found: FoundIn) {
    super('The market told only a part.');
    this.found = found;
  }
}

/** Everything that is found, put aside or not; from memory while all that it hangs on stays as it is. */
async function foundIn(account: number): Promise<FoundIn> {
  const row = await needAccount(account);
  const [outline, routes, refined, sets, products] = await Promise.all([
    loadTreeColumns(account, { targets: 'none' }),
    listRoutes(db(), account),
    listRefined(db(), account),
    ruledSets(account),
    listProducts(db(), account),
  ]);
  const { revision, figures, namePattern, options } = row;
  const stamp = createHash('sha256').update(
    JSON.stringify([revision, figures, namePattern, options, outline, routes, refined, [...sets], products]),
  );
  const name = stamp.digest('hex');
  const known = { outline, routes, refined, sets, products };
  try {
    return await keptRead(`findings ${account}`, name, () => lookThrough(row, name, known));
  } catch (error) {
    if (error instanceof FoundInPart) return error.found;
    throw error;
  }
}

interface Known {
  outline: AccountTreeColumns;
  routes: Awaited<ReturnType<typeof listRoutes>>;
  refined: Awaited<ReturnType<typeof listRefined>>;
  sets: Awaited<ReturnType<typeof ruledSets>>;
  products: Awaited<ReturnType<typeof listProducts>>;
}

/** @throws FoundInPart when the market did not answer */
async function lookThrough(row: AccountRow, stamp: string, known: Known): Promise<FoundIn> {
  const { id: account, namePattern, options } = row;
  const { outline, routes, refined, sets, products } = known;
  const [tree, negatives, targets, terms] = await Promise.all([
    loadTreeColumns(account),
    listNegatives(db(), account),
    loadFieldSums({ account, grain: 'target' }),
    loadFieldSums({ account, grain: 'term' }),
  ]);
  const { from, to } = targets.window;
  const still = stillTargets(tree.targets, indexTree({ ...outline, targets: [] }), targets.columns);
  const least = await leastBids(row, still);
  const load = async (): Promise<FindingsFrom> => ({
    window: { from, to },
    tree,
    negatives,
    targets: figuresOf(targets),
    terms: clickedTerms(terms),
    routes,
    refined,
    sets,
    offers: offersOf(options),
    naming: namePattern === null ? null : { pattern: namePattern, codes: codesOf(products) },
    leastBids: least.bids,
  });
  // What was found in part is looked for again: it goes by no name.
  const name = least.isTold ? stamp : randomUUID();
  const found = unpack<FoundIn>(
    await askThread('findings', { key: String(account), stamp: name, load }, 'all', {}),
  );
  if (!least.isTold) throw new FoundInPart(found);
  return found;
}

const codesOf = (products: Known['products']) =>
  new Map(products.map(({ id, sku, itemCode }) => [id, sku ?? itemCode]));

/** Targets that run and were not shown in the window. */
function stillTargets(
  { id, adGroupId, kind, state }: TargetColumns,
  outline: TreeIndex,
  { targetId, impressions }: FieldSumsAnswer['columns'],
): number[] {
  const shown = new Set<number>();
  for (let row = 0; row < targetId.length; row += 1) if (impressions[row] > 0) shown.add(targetId[row]);
  const [enabled, unknown] = [TARGET_STATES.indexOf('enabled'), TARGET_KINDS.indexOf('unknown')];
  return Array.from(id.keys()).flatMap((at) =>
    state[at] === enabled &&
    kind[at] !== unknown &&
    !shown.has(id[at]) &&
    outline.campaignRuns(outline.placeOfAdGroup(adGroupId[at]).campaignId)
      ? [id[at]]
      : [],
  );
}

const figuresOf = ({ columns }: FieldSumsAnswer): FoundColumns => {
  const { targetId, impressions, clicks, orders, spend, sales } = columns;
  return { targetId, impressions, clicks, orders, spend, sales };
};

/** Terms with a click, and their texts. */
function clickedTerms(answer: FieldSumsAnswer): FindingsFrom['terms'] {
  const { clicks, termId } = answer.columns;
  const { id, text } = answer.terms;
  const rows = rowsThat(clicks.length, (row) => clicks[row] > 0);
  const terms = pickNumbers(termId, rows);
  const wanted = new Set(terms);
  const places = rowsThat(id.length, (at) => wanted.has(id[at]));
  const { targetId, impressions, orders, spend, sales } = answer.columns;
  return {
    targetId: pickNumbers(targetId, rows),
    impressions: pickNumbers(impressions, rows),
    clicks: pickNumbers(clicks, rows),
    orders: pickNumbers(orders, rows),
    spend: pickNumbers(spend, rows),
    sales: pickNumbers(sales, rows),
    termId: terms,
    ids: pickNumbers(id, places),
    texts: Array.from(places, (at) => text[at]).join(BETWEEN_TEXTS),
  };
}

function rowsThat(count: number, are: (row: number) => boolean): Int32Array {
  const rows = new Int32Array(count);
  let found = 0;
  for (let row = 0; row < count; row += 1) if (are(row)) rows[found++] = row;
  return rows.subarray(0, found);
}
