import { NUMBER_FIELDS } from '../../../core/conditions';
import type { LensName } from '../../../core/lenses';
import type { ColumnState } from '../../../table';

/** Columns that are no numbers. */
export const OTHER_COLUMNS = ['standing', 'name', 'place', 'kind', 'state', 'evidence', 'trend'] as const;

const FIGURES = ['clicks', 'spend', 'd.spend', 'orders', 'sales', 'acos'];
const OF_TARGETS = ['standing', 'name', 'place', 'kind', 'bid', ...FIGURES, 'trend'];

const SHOWN: Record<LensName, string[]> = {
  keywords: OF_TARGETS,
  items: OF_TARGETS,
  auto: OF_TARGETS,
  terms: [
    'standing',
    'name',
    'place',
    'kind',
    'clicks',
    'cvr',
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
  name: 158,
  place: 128,
  kind: 62,
  state: 62,
  evidence: 60,
  trend: 62,
  bid: 88,
  impressions: 84,
  clicks: 52,
  orders: 50,
  units: 48,
  spend: 74,
  sales: 80,
  'd.spend': 72,
  'd.sales': 78,
  acos: 58,
  loss: 78,
  breakEvenLoss: 92,
  targetAcos: 76,
  vsTarget: 76,
};
const USUAL_WIDTH = 76;

/** Width of a column as long as nobody has dragged it. */
export const widthOf = (key: string): number => WIDTHS[key] ?? USUAL_WIDTH;

/** Every column there is, in the order in which they are offered. */
export const ALL_COLUMNS: string[] = [...OTHER_COLUMNS, ...NUMBER_FIELDS.map(({ key }) => key)];

/** How the columns of a lens stand as long as nobody has set them. */
export const defaultColumns = (lens: LensName): ColumnState => ({
  shown: SHOWN[lens],
  widths: {},
  pinned: ['standing', 'name'],
});
