import { SCOPE_LABELS } from './scopeLabels';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';
import type { Goal } from '../../../core/goals';
import { formatShare } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { api, exportLink } from '../../shared/api';
import { TargetField } from '../../shared/TargetField';
import { PartHead } from '../PartHead';
import { GoalForm } from './GoalForm';

/** Targets by scope: the nearest one counts. */
export function GoalsPart({ account }: { account: AccountInfo }) {
  const client = useQueryClient();
  const tell = useTell();
  const { data, error } = useQuery({ queryKey: ['goals', account.id], queryFn: () => api.goals(account.id) });
  const refresh = () =>
    client.invalidateQueries({
      predicate: ({ queryKey }) => ['goals', 'products'].includes(String(queryKey[0])),
    });
  const onError = (fault: Error) => tell(fault.message, { kind: 'fault' });
  const set = useMutation({
    // What the list tells besides, its name, is not part of a target.
    mutationFn: ({ scope, scopeId, kind, low, high }: Goal) =>
      api.setGoal(account.id, { scope, scopeId, kind, low, high }),
    onError,
    onSettled: refresh,
  });
  const remove = useMutation({
    mutationFn: ({ scope, scopeId }: Goal) => api.removeGoal(account.id, scope, scopeId),
    onError,
    onSettled: refresh,
  });
  const goals = data?.goals ?? [];
  return (
    <>
      <PartHead title="Targets">
        The nearest one counts: ad group, campaign, product, product line, account. A list comes in under{' '}
        <a href={`/setup?account=${account.id}`}>Data</a>; as{' '}
        <a href={exportLink(account.id, 'goals', 'csv')}>CSV</a> or{' '}
        <a href={exportLink(account.id, 'goals', 'xlsx')}>XLSX</a> it goes out.
      </PartHead>
      {error && (
        <p role="alert" className="over">
          {error.message}
        </p>
      )}
      <p>
        Account: <TargetField account={account} />{' '}
        <span className="faint">counts where nothing else is set.</span>
      </p>
      {data && <GoalForm scopes={data.scopes} onSet={(goal) => set.mutate(goal)} />}
      {goals.length === 0 ? (
        <p className="faint">No other target is set.</p>
      ) : (
        <table className="plain" aria-label="Targets" style={{ maxWidth: 760 }}>
          <thead>
            <tr>
              <th style={{ width: 120 }}>Scope</th>
              <th>Name</th>
              <th className="figure">Target ACOS</th>
              <th className="figure">Margin after ads</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {goals.map((goal) => (
              <tr key={`${goal.scope} ${goal.scopeId}`}>
                <td className="faint">{SCOPE_LABELS[goal.scope]}</td>
                <td>{goal.name || account.name}</td>
                <td className="figure">{goal.kind === 'acos' ? range(goal) : '–'}</td>
                <td className="figure">{goal.kind === 'margin' ? range(goal) : '–'}</td>
                <td className="figure">
                  <button
                    type="button"
                    onClick={() => {
                      remove.mutate(goal);
                      tell('Target removed.', { onUndo: () => set.mutate(goal) });
                    }}
                  >
                    Remove
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

const range = ({ low, high }: Goal) =>
  low === high ? formatShare(low) : `${formatShare(low)} to ${formatShare(high)}`;
