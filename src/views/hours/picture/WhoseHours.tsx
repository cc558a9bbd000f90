import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { HoursQuery } from '../../../contract/hours';
import { api } from '../../shared/api';
import { Choice, Finder } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import type { HoursState } from '../useHours';

const SCOPES: readonly Option[] = [
  ['account', 'The whole account'],
  ['line', 'A product line'],
  ['product', 'A product'],
  ['campaign', 'A campaign'],
];

/** Of what the hours are shown: the account, or a part of it. */
export function WhoseHours({ account, hours }: { account: AccountInfo; hours: HoursState }) {
  const [scope, setScope] = useState(hours.scope);
  const { data } = useQuery({
    queryKey: ['goals', account.id],
    queryFn: () => api.goals(account.id),
    enabled: scope !== 'account',
  });
  return (
    <>
      <Choice
        label="Of"
        isLabelled
        value={scope}
        onChange={(next) => {
          setScope(next as HoursQuery['scope']);
          if (next === 'account') hours.setScope('account', 0);
        }}
      >
        {SCOPES}
      </Choice>
      {scope !== 'account' && (
        <Finder
          label="Which"
          value={hours.scope === scope ? hours.scopeId : null}
          placeholder="Type a part of its name …"
          onChange={(id: number) => hours.setScope(scope, id)}
        >
          {(data?.scopes ?? [])
            .filter((one) => one.scope === scope)
            .map(({ id, name }) => ({ value: id, words: name }))}
        </Finder>
      )}
    </>
  );
}
