import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { RuleGuards } from '../../../core/rules';
import { Ask, MoneyField, NumberField, ShareField } from '../../shared/kit';

interface GuardsDialogProps {
  account: AccountInfo;
  guards: RuleGuards;
  /** Null: nothing is to change. */
  onDone: (guards: RuleGuards | null) => void;
}

/** What holds for all rules of an account together. */
export function GuardsDialog({ account, guards, onDone }: GuardsDialogProps) {
  const [now, setNow] = useState(guards);
  const put = (change: Partial<RuleGuards>) => setNow({ ...now, ...change });
  return (
    <Ask
      title="Guard rails of all rules"
      does="Set them"
      onDone={(isWanted) => onDone(isWanted ? now : null)}
    >
      <div className="settingLines">
        <p className="note">All rules together, a night:</p>
        <div className="bar">
          <NumberField
            label="at most"
            title="Changes a night at most"
            value={now.most.changes}
            min={1}
            max={1_000_000}
            step={10}
            after="changes, and"
            onChange={(changes) => put({ most: { ...now.most, changes } })}
          />
          <MoneyField
            label="at most"
            title="More expected spend a month at most"
            isLabelled={false}
            micros={now.most.spend}
            currency={account.currency}
            step={10_000_000}
            after="more expected spend a month"
            onMicros={(spend) => put({ most: { ...now.most, spend } })}
          />
        </div>
        <p className="note">Rules stop themselves, and say so on every page, when</p>
        <ShareField
          label="a week’s spend is above the usual by more than"
          share={now.spendBound}
          least={0.01}
          most={100}
          onShare={(spendBound) => put({ spendBound })}
        />
        <ShareField
          label="a week’s ACOS is above the usual by more than"
          share={now.acosBound}
          least={0.01}
          most={100}
          onShare={(acosBound) => put({ acosBound })}
        />
        <ShareField
          label="of a night’s changes are refused more than"
          share={now.refusedBound}
          least={0}
          most={1}
          onShare={(refusedBound) => put({ refusedBound })}
        />
        <p className="note">
          They also stop when what they did has surely raised the ACOS; and none looks while days are missing
          or the last sync is old.
        </p>
      </div>
    </Ask>
  );
}
