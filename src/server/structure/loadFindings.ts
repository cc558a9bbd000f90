import { createHash } from 'node:crypto';
import type { FieldSumsAnswer } from '../../contract/api';
import { FINDINGS_QUEUE } from '../../contract/findings';
import type { FindingInfo, FindingsAnswer } from '../../contract/findings';
import { changeKey } from '../../core/changes';
import { FINDING_KINDS, findAll, sumsBy } from '../../core/findings';
import type { Finding } from '../../core/findings';
import { matchForm } from '../../core/matching';
import { indexStructure, indexTree } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import { daysIn, DAYS_PER_MONTH } from '../../core/units';
import type { AccountRow } from '../../db/queries/accounts';
import { listChangeRows } from '../../db/queries/changes';
import { listProducts } from '../../db/queries/economics';
import { listRefined } from '../../db/queries/refined';
import { listRoutes } from '../../db/queries/routes';
import { listNegatives } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { loadAside } from '../aside/aside';
import { db } from '../context/context';
import { keptRead } from '../context/keptReads';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree, loadTreeColumns } from '../field/loadTree';
import { offersOf } from '../build/background';
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

interface FoundIn {
  window: FindingsAnswer['window'];
  infos: FindingInfo[];
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
  try {
    return await keptRead(`findings ${account}`, stamp.digest('hex'), () =>
      findIn(row, { routes, refined, sets, products }),
    );
  } catch (error) {
    if (error instanceof FoundInPart) return error.found;
    throw error;
  }
}

interface Known {
  routes: Awaited<ReturnType<typeof listRoutes>>;
  refined: Awaited<ReturnType<typeof listRefined>>;
  sets: Awaited<ReturnType<typeof ruledSets>>;
  products: Awaited<ReturnType<typeof listProducts>>;
}

/** @throws FoundInPart when the market did not answer */
async function findIn(row: AccountRow, { routes, refined, sets, products }: Known): Promise<FoundIn> {
  const account = row.id;
  const [tree, negatives, targets, terms] = await Promise.all([
    loadTree(account),
    listNegatives(db(), account),
    loadFieldSums({ account, grain: 'target' }),
    loadFieldSums({ account, grain: 'term' }),
  ]);
  const { from, to } = targets.window;
  const index = indexTree(tree);
  const days = daysIn(from, to);
  const sums = sumsBy(rowsOf(targets));
  const codes = new Map(products.map(({ id, sku, itemCode }) => [id, sku ?? itemCode]));
  const least = await leastBids(row, index, sums);
  const found = findAll({
    structure: indexStructure({ ...tree, negatives }),
    index,
    sums,
    terms: termsOf(terms),
    routes,
    perMonth: DAYS_PER_MONTH / days,
    days,
    naming:
      row.namePattern === null
        ? null
        : { pattern: row.namePattern, codeOf: (id) => codes.get(id) ?? String(id) },
    refined,
    offers: offersOf(row.options),
    leastBid: least.of,
    sets,
  });
  const all = { window: { from, to }, infos: found.map((one) => infoOf(one, index)) };
  if (!least.isTold) throw new FoundInPart(all);
  return all;
}

function rowsOf({ columns }: FieldSumsAnswer) {
  const { targetId, impressions, clicks, orders, spend, sales } = columns;
  return Array.from(targetId, (id, row) => ({
    targetId: id,
    impressions: impressions[row],
    clicks: clicks[row],
    orders: orders[row],
    spend: spend[row],
    sales: sales[row],
  }));
}

function termsOf(answer: FieldSumsAnswer) {
  const texts = new Map(answer.terms.text.map((text, at) => [answer.terms.id[at], text]));
  return rowsOf(answer).flatMap((row, at) => {
    const termId = answer.columns.termId[at];
    const text = texts.get(termId);
    return text === undefined || row.clicks === 0 ? [] : [{ ...row, termId, text, form: matchForm(text) }];
  });
}

function infoOf({ ids, ...found }: Finding & { kind: string }, index: TreeIndex): FindingInfo {
  const { entity, id, kind } = found;
  const campaignOf = (campaignId: number) => index.campaigns.get(campaignId)?.name ?? '';
  const [name, place] =
    entity === 'product'
      ? [index.products.get(id)?.name ?? '', '']
      : entity === 'campaign'
        ? [campaignOf(id), '']
        : entity === 'ad-group'
          ? [index.adGroups.get(id)?.name ?? '', campaignOf(index.placeOfAdGroup(id).campaignId)]
          : [index.targets.get(id)?.expression ?? '', campaignOf(index.placeOfTarget(id).campaignId)];
  return { ...found, subject: `${kind} ${ids.join(' ')}`, name, place };
}
