import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../shared/api';
import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { queryKeys } from '../shared/queryKeys';
import { RoundBody } from './RoundBody';
import { roundKeys } from './roundKeys';
import { ROUND_STEPS } from './steps';
import { useRoundState } from './useRoundState';

const KEYS = roundKeys(ROUND_STEPS);
const NAMES = ROUND_STEPS.map(({ name }) => name);

/** The guided review: its steps on the left, the one that is worked on beside them. */
export function Place({ account, error, tray }: PlaceProps) {
  const state = useRoundState(account, NAMES);
  const { data: shown, error: fault } = useQuery({
    queryKey: queryKeys.window(account, state.from, state.to),
    queryFn: () => api.window(account!.id, state.from ?? undefined, state.to ?? undefined),
    enabled: account !== undefined,
    staleTime: Infinity,
  });
  const [isWindowOpen, openWindow] = useState(false);
  useOffer(KEYS);
  return (
    <RoundBody
      steps={ROUND_STEPS}
      account={account}
      fault={error ?? fault}
      state={state}
      tray={tray}
      window={{ shown, isOpen: isWindowOpen, onOpen: openWindow, onWindow: state.setWindow }}
    />
  );
}
