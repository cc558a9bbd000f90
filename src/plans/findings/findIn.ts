import type { FindingInfo } from '../../contract/findings';
import { findAll, sumsBy } from '../../core/findings';
import type { CaughtTerm, Finding } from '../../core/findings';
import { matchForm } from '../../core/matching';
import { indexStructure, indexTree, toTargets } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import { daysIn, DAYS_PER_MONTH } from '../../core/units';
import { BETWEEN_TEXTS } from './types';
import type { FindingsFrom, FoundColumns, FoundIn } from './types';

/** Looks through an account's structure. What is found is in words already. */
export function findIn(from: FindingsFrom): FoundIn {
  const { window, naming, leastBids } = from;
  const tree = { ...from.tree, targets: toTargets(from.tree.targets) };
  const index = indexTree(tree);
  const days = daysIn(window.from, window.to);
  const found = findAll({
    structure: indexStructure({ ...tree, negatives: from.negatives }),
    index,
    sums: sumsBy(rowsOf(from.targets)),
    terms: termsOf(from.terms),
    routes: from.routes,
    perMonth: DAYS_PER_MONTH / days,
    days,
    naming: naming && { pattern: naming.pattern, codeOf: (id) => naming.codes.get(id) ?? String(id) },
    refined: from.refined,
    offers: from.offers,
    leastBid: (target) => leastBids.get(target) ?? null,
    sets: from.sets,
  });
  return { window, infos: found.map((one) => infoOf(one, index)) };
}

const rowsOf = ({ targetId, impressions, clicks, orders, spend, sales }: FoundColumns) =>
  Array.from(targetId, (id, row) => ({
    targetId: id,
    impressions: impressions[row],
    clicks: clicks[row],
    orders: orders[row],
    spend: spend[row],
    sales: sales[row],
  }));

/** A term that many targets caught has its form worked out once. */
function termsOf({ termId, ids, texts, ...columns }: FindingsFrom['terms']): CaughtTerm[] {
  const told = new Map<number, { text: string; form: string }>();
  texts.split(BETWEEN_TEXTS).forEach((text, at) => told.set(ids[at], { text, form: matchForm(text) }));
  return rowsOf(columns).flatMap((row, at) => {
    const term = told.get(termId[at]);
    return term ? [{ ...row, termId: termId[at], ...term }] : [];
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
