import { EVIDENCE_GRADES } from '../../../core/evidence';
import { DASH, formatCount, formatMoney, formatShare } from '../../../core/units';
import type { WordPart } from '../../../core/words';
import type { Column } from '../../../table';
import { EvidenceMark } from '../../shared/evidence/marks';
import { NO_ACOS } from '../../shared/words';

/** Columns of word parts. Money in the account's currency. */
export function partColumns(currency: string, targetAcos: number): Column<WordPart>[] {
  const figure = (
    key: string,
    label: string,
    width: number,
    cell: Column<WordPart>['cell'],
    over: Partial<Column<WordPart>> = {},
  ): Column<WordPart> => ({ key, label, width, isFigure: true, cell, ...over });
  return [
    {
      key: 'text',
      label: 'Part',
      width: 'minmax(110px, 1fr)',
      cell: ({ text, grade }) => (
        <>
          <EvidenceMark grade={EVIDENCE_GRADES.indexOf(grade)} /> <strong>{text}</strong>
        </>
      ),
    },
    figure('terms', 'Terms', 46, ({ terms }) => formatCount(terms), { sortable: true }),
    figure('clicks', 'Clicks', 48, ({ sums }) => formatCount(sums.clicks), { sortable: true }),
    figure('orders', 'Orders', 46, ({ sums }) => formatCount(sums.orders)),
    figure('spend', 'Spend', 72, ({ sums }) => formatMoney(sums.spend), { unit: currency, sortable: true }),
    figure('sales', 'Sales', 76, ({ sums }) => formatMoney(sums.sales), { unit: currency, sortable: true }),
    figure('acos', 'ACOS', 56, ({ sums }) => {
      const acos = sums.sales > 0 ? sums.spend / sums.sales : null;
      return (
        <span
          className={acos === null || acos > targetAcos ? 'over' : 'under'}
          title={acos === null ? NO_ACOS : undefined}
        >
          {acos === null ? DASH : formatShare(acos)}
        </span>
      );
    }),
    figure('excess', 'Above', 72, ({ excess }) => (excess > 0 ? formatMoney(excess) : DASH), {
      unit: currency,
      sortable: true,
      definition: 'Spend above what the target ACOS allows for its sales',
    }),
    figure('chance', 'Chance', 50, ({ chance }) => (chance === null ? DASH : formatShare(chance, 0)), {
      definition: 'Chance that its conversion reaches what its clicks need for the target ACOS',
    }),
  ];
}
