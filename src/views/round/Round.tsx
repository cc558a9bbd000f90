import { useState } from 'react';
import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { RoundBody } from './RoundBody';
import { roundKeys } from './roundKeys';
import { ROUND_STEPS } from './steps';
import { useReview } from './terms/useReview';
import { useRoundState } from './useRoundState';

const KEYS = roundKeys(ROUND_STEPS);
const NAMES = ROUND_STEPS.map(({ name }) => name);

/** The guided review: its steps on the left, the one that is worked on beside them. */
export function Place({ account, error, tray }: PlaceProps) {
  const state = useRoundState(account, NAMES);
  const { review, error: fault } = useReview(account, state.from, state.to);
  const [isWindowOpen, openWindow] = useState(false);
  useOffer(KEYS);
  return (
    <RoundBody
      steps={ROUND_STEPS}
      account={account}
      fault={error ?? fault}
      state={state}
      tray={tray}
      window={{ shown: review?.window, isOpen: isWindowOpen, onOpen: openWindow, onWindow: state.setWindow }}
    />
  );
}
