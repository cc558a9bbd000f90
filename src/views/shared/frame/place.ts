import { createContext, useContext, useEffect } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { TrayState } from '../tray/useTray';
import type { Action } from './FindOrDo';
import type { KeyLine } from './KeysHelp';

/** What a place gets from the frame around it. */
export interface PlaceProps {
  account: AccountInfo | undefined;
  /** Why there is no account to show; null when there is one, or while it is looked up. */
  error: Error | null;
  tray: TrayState;
}

/** What a place offers to the frame: its own keys for the help, and what can be done in it by name. */
export interface Offer {
  keys: readonly KeyLine[];
  actions: readonly Action[];
}

const NOTHING: Offer = { keys: [], actions: [] };

/** Holds what the place that is shown offers. A change of it draws nothing anew: it is read when the help or the finder opens. */
export function makeOffers() {
  let current = NOTHING;
  return {
    get: () => current,
    set: (offer: Offer) => (current = offer),
    clear: (offer: Offer) => {
      if (current === offer) current = NOTHING;
    },
  };
}

export const Offers = createContext(makeOffers());

/** Offers keys and actions for as long as the place is shown. */
export function useOffer(keys: readonly KeyLine[], actions: readonly Action[] = NOTHING.actions): void {
  const offers = useContext(Offers);
  useEffect(() => {
    const offer = { keys, actions };
    offers.set(offer);
    return () => offers.clear(offer);
  });
}
