import type { ReportBlock, ReportCell } from '../../../contract/report';
import { addSums, NO_SUMS } from '../../../core/measures';
import { acosOf, columns, groupsOf, lessOf, tableOr } from '../reportAt';
import type { GroupSums, MakePart } from '../reportAt';

const MOST = 30;
const HEADS = [
  ['Spend', 'money'],
  ['Ad sales', 'money'],
  ['Orders', 'count'],
  ['ACOS', 'share'],
  ['ACOS before', 'share'],
  ['Change', 'points'],
] as const;

/** By product line, and by product with the most spend. */
export const products: MakePart = async (at) => {
  const [lines, items] = await Promise.all([groupsOf(at, 'line'), groupsOf(at, 'product')]);
  return [
    table('Product lines', 'Product line', lines, 'without a product line'),
    table('Products, the most spend first', 'Product', items, 'several products in one ad group'),
  ];
};

function table(name: string, what: string, groups: readonly GroupSums[], unnamed: string): ReportBlock {
  const rest = groups.slice(MOST);
  const rows = groups.slice(0, MOST).map((one) => line(one.name === '' ? unnamed : one.name, one));
  if (rest.length > 0) rows.push(line(`${rest.length} others`, sumOf(rest)));
  return tableOr(
    'No ads ran in these days.',
    name,
    columns([what], ...HEADS.map(([label, unit]) => [label, unit] as [string, typeof unit])),
    rows,
    line('All', sumOf(groups)),
  );
}

const line = (name: string, { now, before }: Pick<GroupSums, 'now' | 'before'>): ReportCell[] => [
  name,
  now.spend,
  now.sales,
  now.orders,
  acosOf(now),
  acosOf(before),
  lessOf(acosOf(now), acosOf(before)),
];

const sumOf = (groups: readonly GroupSums[]) => ({
  now: groups.reduce((sum, one) => addSums(sum, one.now), { ...NO_SUMS }),
  before: groups.reduce((sum, one) => addSums(sum, one.before), { ...NO_SUMS }),
});
