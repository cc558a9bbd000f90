import { lensNamed } from '../../../core/lenses';
import type { LensName } from '../../../core/lenses';
import type { ColumnState } from '../../../table';

const WIDTHS: Record<string, number> = {
  standing: 16,
  name: 150,
  place: 118,
  kind: 54,
  termKind: 70,
  seen: 70,
  state: 58,
  evidence: 60,
  trend: 58,
  bid: 62,
  impressions: 80,
  clicks: 46,
  orders: 46,
  units: 44,
  cpc: 44,
  cvr: 66,
  spend: 66,
  sales: 72,
  'd.spend': 62,
  'd.sales': 72,
  acos: 50,
  loss: 78,
  breakEvenLoss: 92,
  profit: 70,
  totalSales: 92,
  organicSales: 98,
  tacos: 54,
};
const USUAL_WIDTH = 76;

/** Width of a column as long as nobody has dragged it. */
export const widthOf = (key: string): number => WIDTHS[key] ?? USUAL_WIDTH;

/** How the columns of a lens stand as long as nobody has set them. */
export const defaultColumns = (lens: LensName): ColumnState => ({
  shown: [...lensNamed(lens).columns],
  widths: {},
  pinned: ['standing', 'name'],
});
