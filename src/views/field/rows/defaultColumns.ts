import type { LensName } from '../../../core/lenses';
import type { ColumnState } from '../../../table';

const FIGURES = ['clicks', 'spend', 'd.spend', 'orders', 'sales', 'acos'];
const OF_TARGETS = ['standing', 'name', 'place', 'kind', 'bid', ...FIGURES, 'trend'];

const SHOWN: Record<LensName, string[]> = {
  keywords: OF_TARGETS,
  items: OF_TARGETS,
  auto: OF_TARGETS,
  targets: OF_TARGETS,
  terms: [
    'standing',
    'name',
    'place',
    'kind',
    'termKind',
    'clicks',
    'spend',
    'd.spend',
    'orders',
    'sales',
    'acos',
    'trend',
  ],
  placements: [
    'standing',
    'name',
    'place',
    'bid',
    'clicks',
    'cvr',
    'cpc',
    'spend',
    'orders',
    'sales',
    'acos',
    'trend',
  ],
  campaigns: ['standing', 'name', 'place', 'state', 'bid', ...FIGURES, 'trend'],
  'ad-groups': ['standing', 'name', 'place', 'state', ...FIGURES, 'loss', 'trend'],
  products: ['standing', 'name', 'place', ...FIGURES, 'loss', 'breakEvenLoss', 'trend'],
};

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
};
const USUAL_WIDTH = 76;

/** Width of a column as long as nobody has dragged it. */
export const widthOf = (key: string): number => WIDTHS[key] ?? USUAL_WIDTH;

/** How the columns of a lens stand as long as nobody has set them. */
export const defaultColumns = (lens: LensName): ColumnState => ({
  shown: SHOWN[lens],
  widths: {},
  pinned: ['standing', 'name'],
});
