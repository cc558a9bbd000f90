import { FIGURES } from './spec';
import type { LensSpec } from './spec';

export const products: LensSpec<'products'> = {
  name: 'products',
  label: 'Products',
  row: 'product',
  rows: 'products',
  grain: 'target',
  entity: 'product',
  id: 'productId',
  part: null,
  value: 'price',
  sets: false,
  whyNotSet: 'Costs and targets of products are set under Setup.',
  pauses: null,
  shows: null,
  hasWords: false,
  usualIn: 'account',
  below: { scope: 'product', id: 'productId', lenses: ['campaigns', 'keywords', 'auto', 'terms'] },
  history: null,
  placeLabel: 'Line',
  columns: [
    'standing',
    'name',
    'place',
    ...FIGURES,
    'totalSales',
    'organicSales',
    'tacos',
    'profit',
    'trend',
  ],
};
