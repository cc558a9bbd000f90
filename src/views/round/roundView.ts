import { readAnyOf } from '../../core/conditions';
import type { SortOrder } from '../../core/conditions';
import type { BidShow, BidSort } from '../../plans/bids';
import type { ReviewSettings } from '../../plans/terms';
import { readWindow } from '../shared/window/readWindow';

/** What rows are sorted by: a field of theirs, or what a plan of bids knows of them. */
export type RoundSort = { by: SortOrder['by'] | BidSort['by']; descending: boolean };

const SHOWN: readonly BidShow[] = ['proposed', 'testing', 'all', 'aside'];

/** Thresholds as a link may carry them. */
export type OwnSettings = Partial<Omit<ReviewSettings, 'targetAcos'>>;

function readSort(text: string | null): RoundSort | null {
  if (text === null || text === '') return null;
  const descending = text.startsWith('-');
  return { by: text.replace(/^-/, '') as RoundSort['by'], descending };
}

/** What an address says of the round, read. */
export const readRoundView = (values: URLSearchParams) => ({
  show: SHOWN.find((one) => one === values.get('show')) ?? 'proposed',
  conditions: values.getAll('where').flatMap((text) => {
    const group = readAnyOf(text);
    return group ? [group] : [];
  }),
  sort: readSort(values.get('sort')),
  from: values.get('from'),
  to: values.get('to'),
  asked: readWindow(values),
  linked: linked(values),
});

export type RoundView = ReturnType<typeof readRoundView>;

/** Thresholds that a link carries. */
function linked(values: URLSearchParams): OwnSettings {
  const settings: OwnSettings = {};
  if (['chance', 'counts'].includes(values.get('basis') ?? ''))
    settings.basis = values.get('basis') as ReviewSettings['basis'];
  for (const name of ['minOrders', 'maxAcos', 'surety', 'clicksMultiple', 'chance', 'leastSpend'] as const) {
    const value = Number(values.get(name));
    if (values.get(name) !== null && Number.isFinite(value) && value > 0) settings[name] = value;
  }
  return settings;
}
