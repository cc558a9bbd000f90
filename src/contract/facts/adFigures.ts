import { amount, count } from './spec';

/** What every report about ads tells, in the order in which it leaves. */
export const AD_FIGURES = [
  count('impressions', 'Impressions'),
  count('clicks', 'Clicks'),
  amount('spend', 'Spend', 'spend_micros'),
  count('orders', 'Orders'),
  count('units', 'Units'),
  amount('sales', 'Sales', 'sales_micros'),
] as const;

export const AD_REQUIRED = [['impressions'], ['clicks'], ['spend'], ['orders'], ['sales']] as const;
