export { marketClient } from './client';
export type { Clock, MarketClient, SuggestQuestion } from './client';
export type { FetchedReport, ReportOrder } from './fetchReport';
