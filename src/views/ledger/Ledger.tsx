import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { useAccount } from '../shared/useAccount';
import { BaleChanges } from './BaleChanges';
import { BaleList } from './BaleList';
import { WhatWorked } from './effects/WhatWorked';
import { UndoDialog } from './UndoDialog';
import { LEDGER_KEYS, useLedger } from './useLedger';

export function LedgerPlace() {
  return (
    <App>
      <Ledger />
    </App>
  );
}

/** Everything that was sent: bales on the left, the changes of one with the market's answers. */
function Ledger() {
  const named = new URLSearchParams(location.search).get('account');
  const { accounts, account, error } = useAccount(named);
  const ledger = useLedger(account?.id);
  const fault = error ?? ledger.error;
  return (
    <Frame place="ledger" accounts={accounts} account={account} keys={LEDGER_KEYS}>
      {(tray) => (
        <div style={{ display: 'grid', gridTemplateColumns: '300px minmax(0, 1fr)', minHeight: 0 }}>
          <BaleList ledger={ledger} />
          <main style={{ overflow: 'auto', padding: '14px 20px' }}>
            {fault && (
              <p role="alert" className="over">
                {fault.message}
              </p>
            )}
            {ledger.isWorkedOpen && account && <WhatWorked account={account} />}
            {!ledger.isWorkedOpen && ledger.bale && account && (
              <BaleChanges bale={ledger.bale} ledger={ledger} tray={tray} account={account} />
            )}
            {!ledger.isWorkedOpen && !ledger.bale && !fault && (
              <p className="faint">
                {ledger.isLoading
                  ? 'Opening the ledger …'
                  : 'Nothing was sent yet. What you accept in the round waits in the tray; once sent, it stands here with the market’s answers.'}
              </p>
            )}
            {ledger.undo.asking && (
              <UndoDialog
                changed={ledger.undo.asking.changed}
                all={ledger.undo.asking.ids.length}
                onDone={ledger.undo.answer}
              />
            )}
          </main>
        </div>
      )}
    </Frame>
  );
}
