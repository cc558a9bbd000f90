import { useMemo } from 'react';
import { writeAnyOf } from '../../core/conditions';
import type { Stack } from '../../core/conditions';
import type { AccountInfo } from '../../contract/api';
import type { BidShow } from '../../plans/bids';
import { reviewSettings } from '../../plans/terms';
import type { ReviewSettings } from '../../plans/terms';
import { useChoices } from '../shared/useChoices';
import { useUrlState } from '../shared/urlState';
import { readRoundView } from './roundView';
import type { OwnSettings, RoundSort } from './roundView';

/** Everything in the round that a link carries, and the account's choices. @param steps their names, in order */
export function useRoundState(account: AccountInfo | undefined, steps: readonly string[]) {
  const targetAcos = account?.targetAcos ?? 0.25;
  const { values, set } = useUrlState();
  const choices = useChoices(account);
  const { terms } = choices.choices;
  const step = steps.find((name) => name === values.get('step')) ?? steps[0];
  const { linked, ...view } = useMemo(() => readRoundView(values), [values]);
  const settings: ReviewSettings = useMemo(
    () => ({ ...reviewSettings(terms, targetAcos), ...linked }),
    [terms, linked, targetAcos],
  );
  return {
    step,
    ...view,
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

export type RoundState = ReturnType<typeof useRoundState>;
