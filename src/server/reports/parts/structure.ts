import { groupBy } from '../../../core/order';
import { loadFindings } from '../../structure/loadFindings';
import { columns, tableOr, text } from '../reportAt';
import type { MakePart } from '../reportAt';

/** Findings that are open, by sort. */
export const structure: MakePart = async ({ account }) => {
  const { findings, sorts, aside } = await loadFindings(account.id);
  const labels = new Map(sorts.map(({ kind, label, money }) => [kind, { label, money }]));
  return [
    tableOr(
      'No finding is open: nothing is missing in the structure, and nothing stands twice.',
      'Findings by sort, as they stand today',
      columns(
        ['Sort'],
        ['Findings', 'count'],
        ['Money they concern', 'money'],
        ['Of which'],
        ['The largest'],
      ),
      [...groupBy(findings, ({ kind }) => kind)].map(([kind, list]) => [
        labels.get(kind)?.label ?? kind,
        list.length,
        list.reduce((sum, { money }) => sum + money, 0),
        labels.get(kind)?.money === 'sales' ? 'ad sales' : 'spend',
        list[0].place === '' ? list[0].name : `${list[0].name} (${list[0].place})`,
      ]),
    ),
    ...(aside > 0 ? [text(`${aside} more are put aside.`)] : []),
  ];
};
