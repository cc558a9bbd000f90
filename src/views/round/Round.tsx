import { useState } from 'react';
import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { TargetField } from '../shared/TargetField';
import { useAccount } from '../shared/useAccount';
import { WindowButton } from '../shared/window/WindowButton';
import { RoundBody } from './RoundBody';
import { roundKeys } from './roundKeys';
import { ROUND_STEPS } from './steps';
import { useReview } from './terms/useReview';
import { useRoundState } from './useRoundState';

const KEYS = roundKeys(ROUND_STEPS);
const NAMES = ROUND_STEPS.map(({ name }) => name);

export function RoundPlace() {
  return (
    <App>
      <Round />
    </App>
  );
}

/** The guided review: its window and target in the top bar, its step below. */
function Round() {
  const named = new URLSearchParams(location.search).get('account');
  const { accounts, account, error } = useAccount(named);
  const state = useRoundState(account, NAMES);
  const { review, error: fault } = useReview(account, state.from, state.to);
  const [isWindowOpen, openWindow] = useState(false);
  const bar = account && (
    <>
      <WindowButton
        account={account}
        window={review?.window}
        onWindow={state.setWindow}
        isOpen={isWindowOpen}
        onOpen={openWindow}
      />
      <TargetField account={account} />
    </>
  );
  return (
    <Frame place="round" accounts={accounts} account={account} bar={bar} keys={KEYS}>
      {(tray) => (
        <RoundBody
          steps={ROUND_STEPS}
          account={account}
          fault={error ?? fault}
          state={state}
          tray={tray}
          onWindow={() => openWindow(true)}
        />
      )}
    </Frame>
  );
}
