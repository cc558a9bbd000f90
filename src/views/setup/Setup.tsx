import Button from '@mui/material/Button';
import { useState } from 'react';
import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { PartList } from '../shared/frame/PartList';
import { useAccount } from '../shared/useAccount';
import { useUrlState } from '../shared/urlState';
import { AccountForm } from './AccountForm';
import { DataPart } from './data/DataPart';
import { GoalsPart } from './goals/GoalsPart';
import { WordListsPart } from './words/WordListsPart';
import { ProductsPart } from './products/ProductsPart';

export function SetupPlace() {
  return (
    <App>
      <Setup />
    </App>
  );
}

const PARTS = [
  { name: 'data', label: 'Data', does: 'Market, imports, exports', Part: DataPart },
  { name: 'products', label: 'Products and costs', does: 'Margin and break-even', Part: ProductsPart },
  { name: 'goals', label: 'Targets', does: 'ACOS or margin by scope', Part: GoalsPart },
  { name: 'words', label: 'Brands and words', does: 'What sort of term it is', Part: WordListsPart },
] as const;

/** Accounts and their ground: data, products and their costs, targets. */
function Setup() {
  const { values, set } = useUrlState();
  const { accounts, account, error } = useAccount(values.get('account'));
  const [isMaking, setMaking] = useState(false);
  const part = PARTS.find(({ name }) => name === values.get('part')) ?? PARTS[0];
  return (
    <Frame place="setup" accounts={accounts} account={account}>
      {() => (
        <div style={{ display: 'grid', gridTemplateColumns: '224px minmax(0, 1fr)', minHeight: 0 }}>
          <PartList
            title="Setup"
            label="Parts of the setup"
            entries={PARTS.map(({ name, ...rest }) => ({ key: name, ...rest }))}
            current={part.name}
            onChoose={(name) => set({ part: name === 'data' ? null : String(name) })}
          >
            <p style={{ margin: '14px 16px' }}>
              <Button variant="outlined" onClick={() => setMaking(!isMaking)}>
                New account
              </Button>
            </p>
          </PartList>
          <main style={{ overflow: 'auto', padding: '16px 24px' }}>
            {isMaking && <AccountForm onClose={() => setMaking(false)} />}
            {error && (
              <p role="alert" className="over">
                {error.message}
              </p>
            )}
            {account && <part.Part key={`${account.id} ${part.name}`} account={account} />}
          </main>
        </div>
      )}
    </Frame>
  );
}
