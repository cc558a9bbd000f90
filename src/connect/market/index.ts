export { marketClient } from './client';
export type { Clock, MarketClient } from './client';
export type { FetchedReport, ReportOrder } from './fetchReport';
