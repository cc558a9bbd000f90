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
import { listChangeRows } from '../../db/queries/changes';
import { listProducts } from '../../db/queries/economics';
import { listRefined } from '../../db/queries/refined';
import { listRoutes } from '../../db/queries/routes';
import { listNegatives } from '../../db/queries/structure';
import { needAccount } from '../accounts/accounts';
import { loadAside } from '../aside/aside';
import { db } from '../context/context';
import { loadFieldSums } from '../field/loadFieldSums';
import { loadTree } from '../field/loadTree';
import { offersOf } from '../build/background';
import { leastBids } from './leastBids';
import { ruledSets } from './ruledSets';

/** What is found in an account's structure, from the usual window. */
export async function loadFindings(account: number): Promise<FindingsAnswer> {
  const sumsOf = (grain: 'target' | 'term') => loadFieldSums({ account, grain });
  const row = await needAccount(account);
  const [tree, negatives, routes, targets, terms, { aside }, staged, sending, refined, sets, products] =
    await Promise.all([
      loadTree(account),
      listNegatives(db(), account),
      listRoutes(db(), account),
      sumsOf('target'),
      sumsOf('term'),
      loadAside(account),
      listChangeRows(db(), account, { state: 'staged' }),
      listChangeRows(db(), account, { state: 'sending' }),
      listRefined(db(), account),
      ruledSets(account),
      listProducts(db(), account),
    ]);
  const { from, to } = targets.window;
  const index = indexTree(tree);
  const days = daysIn(from, to);
  const sums = sumsBy(rowsOf(targets));
  const codes = new Map(products.map(({ id, sku, itemCode }) => [id, sku ?? itemCode]));
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
    leastBid: await leastBids(row, index, sums),
    sets,
  });
  const put = new Set(aside.filter(({ queue }) => queue === FINDINGS_QUEUE).map(({ subject }) => subject));
  const pending = new Set([...staged, ...sending].map(({ key }) => key));
  const infos = found.map((one) => infoOf(one, index));
  return {
    window: { from, to },
    sorts: FINDING_KINDS.map(({ kind, label, usual, money }) => ({ kind, label, usual, money })),
    findings: infos.filter(
      ({ subject, mend }) =>
        !put.has(subject) && !(mend.length > 0 && mend.every((change) => pending.has(changeKey(change)))),
    ),
    aside: infos.filter(({ subject }) => put.has(subject)).length,
  };
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
