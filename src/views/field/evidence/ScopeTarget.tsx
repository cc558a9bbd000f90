import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { Goal } from '../../../core/goals';
import type { LensTable } from '../../../core/lenses';
import { formatCount, formatShare } from '../../../core/units';
import { api } from '../../shared/api';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { Choice, Fault, ShareField } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { useNewData } from '../../shared/revision';
import { TrialFigures } from '../../shared/TrialFigures';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';
import { scopesOfRow } from './scopesOfRow';
import { roundSettings } from '../../../plans/bids';

interface ScopeTargetProps {
  account: AccountInfo;
  table: LensTable;
  row: number;
}

/** The target of what a row is or stands in: tried before it is kept, with what it does to bids, spend, sales and profit. */
export function ScopeTarget({ account, table, row }: ScopeTargetProps) {
  const scopes = scopesOfRow(table, row);
  const [chosen, setChosen] = useState(scopes[0]?.scope);
  const scope = scopes.find((one) => one.scope === chosen) ?? scopes[0];
  const goals = useQuery({ queryKey: ['goals', account.id], queryFn: () => api.goals(account.id) });
  if (!scope) return null;
  const own = goals.data?.goals.find((one) => one.scope === scope.scope && one.scopeId === scope.scopeId);
  return (
    <>
      <h3 className="panelPart">Target ACOS</h3>
      <div className="bar">
        <Choice
          label="Target of"
          isLabelled
          value={scope.scope}
          onChange={(next) => setChosen(next as typeof chosen)}
        >
          {scopes.map((one): Option => [one.scope, one.label])}
        </Choice>
      </div>
      <Fault error={goals.error} />
      {goals.data && (
        <Trial
          key={`${scope.scope} ${scope.scopeId}`}
          account={account}
          scope={scope}
          own={own}
          counts={Number.isNaN(table.targetAcos[row]) ? null : table.targetAcos[row]}
        />
      )}
    </>
  );
}

interface TrialProps {
  account: AccountInfo;
  scope: Pick<Goal, 'scope' | 'scopeId'>;
  own: Goal | undefined;
  /** What counts at the row now, share. */
  counts: number | null;
}

const goalAt = (scope: Pick<Goal, 'scope' | 'scopeId'>, acos: number): Goal => ({
  scope: scope.scope,
  scopeId: scope.scopeId,
  kind: 'acos',
  low: acos,
  high: acos,
});

function Trial({ account, scope, own, counts }: TrialProps) {
  const [tried, setTried] = useState<number | null>(null);
  const tell = useTell();
  const { did } = useUndo(account.id);
  const { takeOver } = useNewData(account);
  const version = dataVersion(account);
  const settings = roundSettings(account.choices, account.limits);
  const trial = useQuery({
    queryKey: ['goal-trial', account.id, version, settings, scope.scope, scope.scopeId, tried],
    queryFn: () => api.askBids(account.id, 'goal', { settings, goal: goalAt(scope, tried!) }),
    enabled: tried !== null,
    staleTime: Infinity,
  });
  const keep = useMutation({
    mutationFn: async (goal: Goal | null) => {
      if (goal === null) await api.removeGoal(account.id, scope.scope, scope.scopeId);
      else await api.setGoal(account.id, goal);
    },
    onSuccess: (_, goal) => {
      const back = own && {
        scope: own.scope,
        scopeId: own.scopeId,
        kind: own.kind,
        low: own.low,
        high: own.high,
      };
      did({
        words: goal === null ? 'target removed' : 'target set',
        undoing: back ? { kind: 'goal', goal: back } : { kind: 'no-goal', goal: goal! },
      });
      setTried(null);
      void takeOver();
    },
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
  });
  const shown = own?.kind === 'acos' ? (own.low + own.high) / 2 : counts;
  return (
    <>
      <div className="bar">
        <ShareField
          label="ACOS"
          title="Target ACOS to try"
          share={tried ?? shown}
          least={0.01}
          most={10}
          onShare={(acos) => setTried(acos)}
        />
        <span className="faint">{ownWords(own, counts)}</span>
        {own && tried === null && (
          <Button
            data-may="decide"
            variant="quiet"
            disabled={keep.isPending}
            onClick={() => keep.mutate(null)}
          >
            Remove
          </Button>
        )}
      </div>
      <Fault error={trial.error} />
      {tried !== null && trial.isFetching && <p className="faint">Working out …</p>}
      {tried !== null && trial.data && (
        <div role="status" aria-label="Tried target" className="note">
          <p className="line">
            {formatCount(trial.data.targets)} running{' '}
            {trial.data.targets === 1 ? 'target goes' : 'targets go'} by it:
          </p>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '2px 14px' }}>
            <TrialFigures trial={trial.data} currency={account.currency} />
          </Box>
          <div className="bar">
            <Button
              data-may="decide"
              variant="outlined"
              disabled={keep.isPending}
              onClick={() => keep.mutate(goalAt(scope, tried))}
            >
              Keep {formatShare(tried)}
            </Button>
            <Button onClick={() => setTried(null)}>Back</Button>
          </div>
        </div>
      )}
    </>
  );
}

/** Whose target counts. */
function ownWords(own: Goal | undefined, counts: number | null): string {
  if (!own) return counts === null ? 'no target counts here' : 'not its own: a wider one counts';
  const of = (value: number) => formatShare(value);
  if (own.kind === 'margin') return `its own: ${of(own.low)} margin after ads`;
  return own.low === own.high ? 'its own' : `its own: ${of(own.low)} to ${of(own.high)}`;
}
