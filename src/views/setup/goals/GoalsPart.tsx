import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { SCOPE_LABELS } from './scopeLabels';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../../shared/useTell';
import type { Goal } from '../../../core/goals';
import { formatShare } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { api, exportLink } from '../../shared/api';
import { useUndo } from '../../shared/undo/useUndo';
import { takeOverData } from '../../shared/revision';
import { TargetField } from '../../shared/TargetField';
import { PartHead } from '../PartHead';
import { GoalForm } from './GoalForm';
import { GuideValues } from './GuideValues';
import { PriceNote } from './PriceNote';
import { Facts, Fault, PlaceLink } from '../../shared/kit';
import { pageLink } from '../../shared/frame/pages';

/** Targets by scope: the nearest one counts. */
export function GoalsPart({ account }: { account: AccountInfo }) {
  const client = useQueryClient();
  const tell = useTell();
  const { did } = useUndo(account.id);
  const { data, error } = useQuery({ queryKey: ['goals', account.id], queryFn: () => api.goals(account.id) });
  const refresh = () => takeOverData(client, account.id);
  const onError = (fault: Error) => tell(fault.message, { kind: 'fault' });
  const set = useMutation({
    mutationFn: (goal: Goal) => api.setGoal(account.id, bare(goal)),
    onSuccess: (_, goal) => {
      const before = goals.find((one) => one.scope === goal.scope && one.scopeId === goal.scopeId);
      did(
        {
          words: 'target set',
          undoing: before ? { kind: 'goal', goal: bare(before) } : { kind: 'no-goal', goal: bare(goal) },
        },
        { isQuiet: true },
      );
    },
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
        The nearest one counts: ad group, campaign, product, product line, account. Import a list under{' '}
        <PlaceLink href={pageLink('setup', account.id)}>Data</PlaceLink>, or export this one as{' '}
        <a href={exportLink(account.id, 'goals', 'csv')}>CSV</a> or{' '}
        <a href={exportLink(account.id, 'goals', 'xlsx')}>XLSX</a>.
      </PartHead>
      <Fault error={error} />
      <p className="bar">
        <span>Account:</span> <TargetField account={account} />
        <span className="faint">counts where nothing nearer is set.</span>
      </p>
      {data && <GoalForm scopes={data.scopes} onSet={(goal) => set.mutateAsync(goal)} />}
      {goals.length === 0 ? (
        <p className="faint">No other target is set.</p>
      ) : (
        <Facts aria-label="Targets" sx={{ maxWidth: 760 }}>
          <TableHead>
            <TableRow>
              <TableCell sx={{ width: 120 }}>Scope</TableCell>
              <TableCell>Name</TableCell>
              <TableCell className="figure">Target ACOS</TableCell>
              <TableCell className="figure">Margin after ads</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {goals.map((goal) => (
              <TableRow key={`${goal.scope} ${goal.scopeId}`}>
                <TableCell className="faint">{SCOPE_LABELS[goal.scope]}</TableCell>
                <TableCell>{goal.name || account.name}</TableCell>
                <TableCell className="figure">{goal.kind === 'acos' ? range(goal) : '–'}</TableCell>
                <TableCell className="figure">{goal.kind === 'margin' ? range(goal) : '–'}</TableCell>
                <TableCell className="figure">
                  <Button
                    data-may="decide"
                    variant="link"
                    onClick={() => {
                      remove.mutate(goal, {
                        onSuccess: () =>
                          did({
                            words: `target of ${goal.name || account.name} removed`,
                            undoing: { kind: 'goal', goal: bare(goal) },
                          }),
                      });
                    }}
                  >
                    Remove
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      <GuideValues account={account} />
      <PriceNote account={account} />
    </>
  );
}

/** What the list tells besides, its name, is no part of a target. */
const bare = ({ scope, scopeId, kind, low, high }: Goal): Goal => ({ scope, scopeId, kind, low, high });

const range = ({ low, high }: Goal) =>
  low === high ? formatShare(low) : `${formatShare(low)} to ${formatShare(high)}`;
