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
    case 'points': {
      const size = formatNumber(Math.abs(value) * 100, 1);
      // What rounds to nothing has no sign.
      return /[1-9]/.test(size) ? `${value > 0 ? '+' : '−'}${size}` : size;
    }
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
