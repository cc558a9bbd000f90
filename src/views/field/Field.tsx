import { useEffect, useState } from 'react';
import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { TargetField } from '../shared/TargetField';
import { dataVersion } from '../shared/fieldEngine/dataVersion';
import { useAccount } from '../shared/useAccount';
import { WindowButton } from '../shared/window/WindowButton';
import { FieldBody } from './FieldBody';
import { fieldActions } from './fieldActions';
import { FIELD_KEYS } from './fieldKeys';
import { keepAsLast, useFieldState } from './useFieldState';
import { useLens } from './useLens';

export function FieldPlace() {
  return (
    <App>
      <Field />
    </App>
  );
}

/** Free exploration: everything of the account through eight lenses. */
function Field() {
  const state = useFieldState();
  const { accounts, account, error } = useAccount(state.account);
  const version = dataVersion(account);
  const lens = useLens(account?.id, version, state.lens, state.from, state.to);
  const [isWindowOpen, openWindow] = useState(false);
  useEffect(() => {
    if (account) keepAsLast(account.id, state.query);
  }, [account, state.query]);
  const bar = account && (
    <>
      <WindowButton
        account={account}
        window={lens.loaded?.window}
        onWindow={state.setWindow}
        isOpen={isWindowOpen}
        onOpen={openWindow}
      />
      <TargetField account={account} />
    </>
  );
  return (
    <Frame
      place="field"
      accounts={accounts}
      account={account}
      bar={bar}
      keys={FIELD_KEYS}
      actions={fieldActions(state, () => openWindow(true))}
    >
      {(tray) => (
        <FieldBody
          account={account}
          error={error ?? lens.error}
          state={state}
          lens={lens}
          tray={tray}
          onWindow={() => openWindow(true)}
        />
      )}
    </Frame>
  );
}
