import { useMemo } from 'react';
import { readAnyOf, writeAnyOf } from '../../core/conditions';
import type { SortOrder, Stack } from '../../core/conditions';
import type { AccountInfo } from '../../contract/api';
import type { BidShow, BidSort } from '../../plans/bids';
import { reviewSettings } from '../../plans/terms';
import { useChoices } from '../shared/useChoices';
import { readWindow } from '../shared/window/readWindow';
import { useUrlState } from '../shared/urlState';
import type { ReviewSettings } from '../../plans/terms';

/** What rows are sorted by: a field of theirs, or what a plan of bids knows of them. */
export type RoundSort = { by: SortOrder['by'] | BidSort['by']; descending: boolean };

const SHOWN: readonly BidShow[] = ['proposed', 'testing', 'all', 'aside'];

/** Thresholds as a link may carry them. */
type OwnSettings = Partial<Omit<ReviewSettings, 'targetAcos'>>;

function readSort(text: string | null): RoundSort | null {
  if (text === null || text === '') return null;
  const descending = text.startsWith('-');
  return { by: text.replace(/^-/, '') as RoundSort['by'], descending };
}

/** Everything in the round that a link carries, and the account's choices. @param steps their names, in order */
export function useRoundState(account: AccountInfo | undefined, steps: readonly string[]) {
  const targetAcos = account?.targetAcos ?? 0.25;
  const { values, set } = useUrlState();
  const choices = useChoices(account);
  const { terms } = choices.choices;
  const step = steps.find((name) => name === values.get('step')) ?? steps[0];
  const conditions = useMemo(
    () =>
      values.getAll('where').flatMap((text) => {
        const group = readAnyOf(text);
        return group ? [group] : [];
      }),
    [values],
  );
  const settings: ReviewSettings = useMemo(
    () => ({ ...reviewSettings(terms, targetAcos), ...linked(values) }),
    [terms, values, targetAcos],
  );
  return {
    step,
    show: SHOWN.find((one) => one === values.get('show')) ?? 'proposed',
    conditions,
    sort: readSort(values.get('sort')),
    from: values.get('from'),
    to: values.get('to'),
    asked: readWindow(values),
    settings,
    /** The first step needs no word in the address. */
    setStep: (next: string) => set({ step: next === steps[0] ? null : next, sort: null, show: null }),
    setShow: (show: BidShow) => set({ show: show === 'proposed' ? null : show, sort: null }),
    setConditions: (next: Stack) => set({ where: next.map(writeAnyOf) }),
    setSort: (sort: RoundSort | null) => set({ sort: sort && `${sort.descending ? '-' : ''}${sort.by}` }),
    setVersus: (versus: string | null) => set({ versus }),
    setWindow: (from: string | null, to: string | null) => set({ from, to }),
    choices,
    setSettings: (changes: OwnSettings) => {
      choices.change({ terms: changes });
      // What a link said of it counts no longer.
      set(Object.fromEntries(Object.keys(changes).map((name) => [name, null])));
    },
  };
}

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

export type RoundState = ReturnType<typeof useRoundState>;
