import type { CellUnit, ReportCell } from '../contract/report';
import { DASH, formatCount, formatMoney, formatNumber, formatShare } from '../core/units';

/** A cell as it is printed. */
export function cellText(unit: CellUnit, value: ReportCell): string {
  if (value === null) return DASH;
  if (typeof value === 'string') return value;
  switch (unit) {
    case 'money':
      return formatMoney(value);
    case 'share':
      return formatShare(value);
    case 'points':
      return `${value > 0 ? '+' : value < 0 ? '−' : ''}${formatNumber(Math.abs(value) * 100, 1)}`;
    case 'rank':
      return value === 0 ? 'beyond the last page' : formatNumber(value, value < 10 ? 1 : 0);
    case 'count':
      return formatCount(value);
    case 'text':
      return String(value);
  }
}

/** Text of a page: nothing in it is read as markup. */
export const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
