import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PlaceProps } from '../shared/frame/place';
import { Columns, Fault, PartList } from '../shared/kit';
import { partLabel } from '../shared/frame/pages';
import { useUrlState } from '../shared/urlState';
import { AccountForm } from './AccountForm';
import { DataPart } from './data/DataPart';
import { GoalsPart } from './goals/GoalsPart';
import { PeoplePart } from './people/PeoplePart';
import { ReaderPart } from './reader/ReaderPart';
import { TrailPart } from './trail/TrailPart';
import { WordListsPart } from './words/WordListsPart';
import { ProductsPart } from './products/ProductsPart';

const PARTS = [
  { name: 'data', label: 'Data', does: 'Market, imports, exports', Part: DataPart },
  { name: 'products', label: 'Products and costs', does: 'Margin and break-even', Part: ProductsPart },
  { name: 'goals', label: 'Targets', does: 'ACOS or margin by scope', Part: GoalsPart },
  { name: 'words', label: 'Brands and words', does: 'Tell search terms apart', Part: WordListsPart },
  {
    name: 'people',
    label: partLabel('setup', 'people'),
    does: 'Who comes in, as what',
    Part: PeoplePart,
  },
  { name: 'trail', label: partLabel('setup', 'trail'), does: 'Who did what, and when', Part: TrailPart },
  { name: 'reader', label: 'How you read', does: 'Figures, theme, tour', Part: ReaderPart },
] as const;

/** Accounts and their ground: data, products and their costs, targets. */
export function Place({ account, error }: PlaceProps) {
  const { values, set } = useUrlState();
  const [isMaking, setMaking] = useState(false);
  const part = PARTS.find(({ name }) => name === values.get('part')) ?? PARTS[0];
  return (
    <Columns
      name="setup"
      left={
        <PartList
          title="Setup"
          label="Parts of the setup"
          entries={PARTS.map(({ name, ...rest }) => ({ key: name, ...rest }))}
          current={part.name}
          onChoose={(name) => set({ part: name === 'data' ? null : String(name) })}
        >
          <p>
            <Button data-may="own" variant="outlined" onClick={() => setMaking(!isMaking)}>
              New account
            </Button>
          </p>
        </PartList>
      }
    >
      <main className="page" tabIndex={0} aria-label={part.label}>
        {isMaking && <AccountForm onClose={() => setMaking(false)} />}
        <Fault error={error} />
        {account && <part.Part key={`${account.id} ${part.name}`} account={account} />}
      </main>
    </Columns>
  );
}
