import { useState } from 'react';
import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { FieldBody } from './FieldBody';
import { fieldActions } from './fieldActions';
import { FIELD_KEYS } from './fieldKeys';
import { useFieldState } from './useFieldState';
import { useLens } from './useLens';

/** Free exploration: everything of the account through eight lenses. */
export function Place({ account, error, tray }: PlaceProps) {
  const state = useFieldState();
  const lens = useLens(account, state.lens, state.asked);
  const [isWindowOpen, openWindow] = useState(false);
  useOffer(
    FIELD_KEYS,
    fieldActions(state, () => openWindow(true)),
  );
  return (
    <FieldBody
      account={account}
      error={error ?? lens.error}
      state={state}
      lens={lens}
      tray={tray}
      window={{
        shown: lens.loaded?.window,
        isOpen: isWindowOpen,
        onOpen: openWindow,
        onWindow: state.setWindow,
        versus: {
          shown: lens.loaded?.before,
          isChosen: state.asked.versus !== undefined,
          onVersus: state.setVersus,
        },
      }}
    />
  );
}
