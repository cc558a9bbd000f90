import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { SpendPlan } from '../../../contract/money';
import { MICROS_PER_UNIT } from '../../../core/units';
import { api } from '../../shared/api';
import { Ask, Choice, Fault, Finder, MoneyField, OneOf } from '../../shared/kit';
import type { Option } from '../../shared/kit';

interface PartPlanFormProps {
  account: AccountInfo;
  onDone: (plan: SpendPlan | null) => void;
}

const SCOPES: readonly Option[] = [
  ['line', 'Product line'],
  ['product', 'Product'],
  ['campaign', 'Campaign'],
  ['account', 'All of the account'],
];
const SPANS = ['each month', 'each day'] as const;

/** Asks which part of the account may spend how much, each day or month. */
export function PartPlanForm({ account, onDone }: PartPlanFormProps) {
  const [scope, setScope] = useState<SpendPlan['scope']>('product');
  const [scopeId, setScopeId] = useState<number | null>(null);
  const [span, setSpan] = useState<(typeof SPANS)[number]>('each month');
  const [spend, setSpend] = useState<number | null>(null);
  const { data, error } = useQuery({ queryKey: ['goals', account.id], queryFn: () => api.goals(account.id) });
  const parts = (data?.scopes ?? []).filter((one) => one.scope === scope);
  const at = scope === 'account' ? 0 : scopeId;
  const isReady = at !== null && spend !== null;
  return (
    <Ask
      title="Plan what a part may spend"
      does="Keep the plan"
      isOff={!isReady}
      onDone={(isWanted) =>
        onDone(
          isWanted && isReady
            ? { scope, scopeId: at, span: span === 'each day' ? 'day' : 'month', spend }
            : null,
        )
      }
    >
      <div className="bar">
        <Choice
          label="Part"
          value={scope}
          onChange={(next) => {
            setScope(next as SpendPlan['scope']);
            setScopeId(null);
          }}
        >
          {SCOPES}
        </Choice>
        {scope !== 'account' && (
          <Finder label="Which" value={scopeId} placeholder="Type a part of its name …" onChange={setScopeId}>
            {parts.map(({ id, name }) => ({ value: id, words: name }))}
          </Finder>
        )}
      </div>
      <div className="bar">
        <MoneyField
          label="May spend"
          currency={account.currency}
          micros={spend}
          least={10_000}
          step={10 * MICROS_PER_UNIT}
          onMicros={setSpend}
          onNone={() => setSpend(null)}
        />
        <OneOf label="How often" value={span} onChange={setSpan}>
          {SPANS}
        </OneOf>
      </div>
      <p className="note">
        It holds until you set it anew. Spend of a product is that of the ad groups that advertise it first.
      </p>
      <Fault error={error} />
    </Ask>
  );
}
