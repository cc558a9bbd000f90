import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { readAnyOf } from '../../../core/conditions';
import { lensNamed } from '../../../core/lenses';
import { swathHolds } from '../../../core/rules';
import type { Rule, RuleSwath } from '../../../core/rules';
import { api } from '../../shared/api';
import { wordsOfAny } from '../../shared/conditions/words';
import { ScopeField } from './RuleFields';

interface WorksInProps {
  account: AccountInfo;
  rule: Rule;
  onRule: (change: Partial<Rule>) => void;
}

/** What a rule works in; of a swath it takes a copy, and shows what that asks for. */
export function WorksIn({ account, rule, onRule }: WorksInProps) {
  const { data } = useQuery({ queryKey: ['swaths', account.id], queryFn: () => api.swaths(account.id) });
  const swaths = (data ?? []).flatMap(({ name, lens, conditions, from, to }): RuleSwath[] =>
    conditions.length > 0 && swathHolds(lens, rule.work) ? [{ name, lens, conditions, from, to }] : [],
  );
  return (
    <div>
      <ScopeField
        account={account}
        scope={rule.scope}
        swath={rule.swath}
        swaths={swaths}
        onScope={(scope) => onRule({ scope, swath: null })}
        onSwath={(swath) => onRule({ scope: { kind: 'swath', id: 0 }, swath })}
      />
      {rule.swath && (
        <p className="note">
          {lensNamed(rule.swath.lens).rows} with {conditionWords(rule.swath)}. A copy: the rule stays as it
          was tried when the swath is kept anew.
        </p>
      )}
    </div>
  );
}

const conditionWords = ({ conditions }: RuleSwath): string =>
  conditions
    .map((one) => {
      const read = readAnyOf(one);
      return read ? wordsOfAny(read) : one;
    })
    .join(' and ');
