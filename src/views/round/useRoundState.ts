import { useMemo, useState } from 'react';
import { readAnyOf, writeAnyOf } from '../../core/conditions';
import type { SortOrder, Stack } from '../../core/conditions';
import type { AccountInfo } from '../../contract/api';
import type { BidStepName, RoundStep } from '../../contract/review';
import type { BidSort } from '../shared/fieldEngine/types';
import { recall, remember, useUrlState } from '../shared/urlState';
import type { ReviewSettings, Show } from './terms/worker/types';

/** Steps in the order of the work. */
export const STEPS: { name: RoundStep; label: string; money: string }[] = [
  { name: 'dead', label: 'Dead spend', money: 'spend a month' },
  { name: 'over', label: 'Overpaying', money: 'above target a month' },
  { name: 'grow', label: 'Room to grow', money: 'sales to win a month' },
  { name: 'harvest', label: 'Harvest', money: 'sales' },
  { name: 'negatives', label: 'Negatives', money: 'spend' },
];

const BID_STEP_NAMES: readonly string[] = ['dead', 'over', 'grow'] satisfies BidStepName[];

/** Whether a step goes through bids; the others go through search terms. */
export const isBidStep = (step: RoundStep): step is BidStepName => BID_STEP_NAMES.includes(step);

/** What rows are sorted by: a field of theirs, or what a plan of bids knows of them. */
export type RoundSort = { by: SortOrder['by'] | BidSort['by']; descending: boolean };

/** What the specialist has set by hand; what she has not, follows the account. */
type OwnSettings = Partial<Omit<ReviewSettings, 'targetAcos'>>;

/** Thresholds are remembered by account: an ACOS that suits one is wrong for another. */
const settingsKey = (account: AccountInfo | undefined) => `round-settings-${account?.id ?? 0}`;

/** Thresholds until others are set: by trial these find most that sells on, and block most that does not pay. */
const USUAL: Omit<ReviewSettings, 'targetAcos' | 'maxAcos'> = {
  basis: 'chance',
  minOrders: 2,
  surety: 0.7,
  clicksMultiple: 2,
  chance: 0.2,
  leastSpend: 3_000_000,
};

function readSort(text: string | null): RoundSort | null {
  if (text === null || text === '') return null;
  const descending = text.startsWith('-');
  return { by: text.replace(/^-/, '') as RoundSort['by'], descending };
}

/** Everything in the round that a link carries, and the thresholds that this browser remembers. */
export function useRoundState(account: AccountInfo | undefined) {
  const targetAcos = account?.targetAcos ?? 0.25;
  const { values, set } = useUrlState();
  const key = settingsKey(account);
  const [changed, setChanged] = useState<OwnSettings>({});
  const own = useMemo(() => ({ ...recall<OwnSettings>(key, {}), ...changed }), [key, changed]);
  const isOverview = STEPS.every(({ name }) => name !== values.get('step'));
  const step = (STEPS.find(({ name }) => name === values.get('step')) ?? STEPS[0]).name;
  const conditions = useMemo(
    () =>
      values.getAll('where').flatMap((text) => {
        const group = readAnyOf(text);
        return group ? [group] : [];
      }),
    [values],
  );
  const settings: ReviewSettings = useMemo(
    () => ({ ...USUAL, maxAcos: targetAcos, ...own, ...linked(values), targetAcos }),
    [own, values, targetAcos],
  );
  return {
    /** The overview, before the steps that decide. */
    isOverview,
    step,
    show: (['all', 'aside'].includes(values.get('show') ?? '') ? values.get('show') : 'proposed') as Show,
    conditions,
    sort: readSort(values.get('sort')),
    from: values.get('from'),
    to: values.get('to'),
    settings,
    setOverview: () => set({ step: null, sort: null, show: null }),
    setStep: (next: RoundStep) => set({ step: next, sort: null, show: null }),
    setShow: (show: Show) => set({ show: show === 'proposed' ? null : show }),
    setConditions: (next: Stack) => set({ where: next.map(writeAnyOf) }),
    setSort: (sort: RoundSort | null) => set({ sort: sort && `${sort.descending ? '-' : ''}${sort.by}` }),
    setWindow: (from: string | null, to: string | null) => set({ from, to }),
    setSettings: (changes: OwnSettings) => {
      const next = { ...own, ...changes };
      setChanged(next);
      remember(key, next);
      set(Object.fromEntries(Object.entries(changes).map(([name, value]) => [name, String(value)])));
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
