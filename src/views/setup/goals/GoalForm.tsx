import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Goal } from '../../../core/goals';
import type { GoalsAnswer } from '../../../contract/api';
import { SCOPE_LABELS } from './scopeLabels';

type Scope = GoalsAnswer['scopes'][number];

/** Sets a target on a line, product, campaign or ad group: an ACOS or a margin, a value or a range. */
export function GoalForm({ scopes, onSet }: { scopes: Scope[]; onSet: (goal: Goal) => void }) {
  const [scope, setScope] = useState<Scope | null>(null);
  const [kind, setKind] = useState<Goal['kind']>('acos');
  const [low, setLow] = useState('');
  const [high, setHigh] = useState('');
  const from = Number(low.replace(',', '.')) / 100;
  const to = high.trim() === '' ? from : Number(high.replace(',', '.')) / 100;
  const isGood =
    scope !== null &&
    low.trim() !== '' &&
    Number.isFinite(from) &&
    Number.isFinite(to) &&
    to >= from &&
    to <= 10 &&
    (kind === 'margin' || from > 0);
  return (
    <form
      aria-label="Set a target"
      style={{ display: 'flex', gap: 10, alignItems: 'center', flexWrap: 'wrap', marginBottom: 14 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (!isGood) return;
        onSet({ scope: scope.scope, scopeId: scope.id, kind, low: from, high: to });
        setScope(null);
        setLow('');
        setHigh('');
      }}
    >
      <Autocomplete
        size="small"
        options={scopes}
        value={scope}
        groupBy={(option) => SCOPE_LABELS[option.scope]}
        getOptionLabel={(option) => option.name}
        getOptionKey={(option) => `${option.scope} ${option.id}`}
        isOptionEqualToValue={(a, b) => a.scope === b.scope && a.id === b.id}
        onChange={(_, next) => setScope(next)}
        renderInput={(params) => <TextField {...params} label="For" />}
        sx={{ width: 320 }}
      />
      <select
        aria-label="Kind of target"
        value={kind}
        onChange={(event) => setKind(event.target.value as Goal['kind'])}
      >
        <option value="acos">ACOS</option>
        <option value="margin">margin after ads</option>
      </select>
      <label>
        <input
          className="figure"
          aria-label="Target in per cent"
          size={5}
          inputMode="decimal"
          value={low}
          onChange={(event) => setLow(event.target.value)}
        />{' '}
        %
      </label>
      <label>
        up to{' '}
        <input
          className="figure"
          aria-label="Up to, in per cent"
          size={5}
          inputMode="decimal"
          value={high}
          onChange={(event) => setHigh(event.target.value)}
        />{' '}
        %
      </label>
      <Button type="submit" variant="contained" disabled={!isGood}>
        Set
      </Button>
    </form>
  );
}
