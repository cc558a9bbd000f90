import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { useAccount } from '../shared/useAccount';
import { TargetField } from '../shared/TargetField';
import { FieldBody } from './FieldBody';
import { FIELD_KEYS } from './fieldKeys';
import { useFieldState } from './useFieldState';

export function FieldPlace() {
  return (
    <App>
      <Field />
    </App>
  );
}

/** Free exploration: every target of the account, account-wide. */
function Field() {
  const state = useFieldState();
  const { accounts, account, error } = useAccount(state.account);
  return (
    <Frame
      place="field"
      accounts={accounts}
      account={account}
      bar={account && <TargetField account={account} />}
      keys={FIELD_KEYS}
    >
      {(tray) =>
        error ? (
          <main style={{ padding: 24 }}>
            <p role="alert" className="over">
              {error.message}
            </p>
          </main>
        ) : (
          <FieldBody account={account} state={state} tray={tray} />
        )
      }
    </Frame>
  );
}
