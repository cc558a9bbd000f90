import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Controller, useForm } from 'react-hook-form';
import type { Goal } from '../../../core/goals';
import type { GoalsAnswer } from '../../../contract/api';
import { Choice, Field, ShareField, showFaults } from '../../shared/kit';
import { SCOPE_LABELS } from './scopeLabels';

type Scope = GoalsAnswer['scopes'][number];

interface Values {
  scope: Scope | null;
  kind: Goal['kind'];
  low: number | null;
  high: number | null;
}

const EMPTY: Values = { scope: null, kind: 'acos', low: null, high: null };
const FIELDS = { scope: 'scope', scopeId: 'scope', kind: 'kind', low: 'low', high: 'high' } as const;
/** ACOS and margins beyond this are slips of the hand, share. */
const MOST = 10;

interface GoalFormProps {
  scopes: Scope[];
  /** @throws what the request is refused for */
  onSet: (goal: Goal) => Promise<unknown>;
}

/** Sets a target on a line, product, campaign or ad group: an ACOS or a margin, a value or a range. */
export function GoalForm({ scopes, onSet }: GoalFormProps) {
  const { control, handleSubmit, setError, reset, formState } = useForm<Values>({ defaultValues: EMPTY });
  const { errors, isSubmitting } = formState;
  const set = handleSubmit(async ({ scope, kind, low, high }) => {
    try {
      await onSet({ scope: scope!.scope, scopeId: scope!.id, kind, low: low!, high: high ?? low! });
      reset(EMPTY);
    } catch (error) {
      showFaults(error as Error, setError, FIELDS);
    }
  });
  return (
    <form aria-label="Set a target" className="framed" onSubmit={(event) => void set(event)}>
      <div className="fields">
        <Field label="For" error={errors.scope}>
          <Controller
            name="scope"
            control={control}
            rules={{ required: 'Choose what the target is for.' }}
            render={({ field }) => (
              <Autocomplete
                size="small"
                options={scopes}
                value={field.value}
                groupBy={(option) => SCOPE_LABELS[option.scope]}
                getOptionLabel={(option) => option.name}
                getOptionKey={(option) => `${option.scope} ${option.id}`}
                isOptionEqualToValue={(a, b) => a.scope === b.scope && a.id === b.id}
                onChange={(_, next) => field.onChange(next)}
                renderInput={(params) => (
                  <TextField
                    {...params}
                    placeholder="Line, product, campaign or ad group"
                    slotProps={{
                      ...params.slotProps,
                      htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': 'For' },
                    }}
                  />
                )}
                sx={{ width: 320 }}
              />
            )}
          />
        </Field>
        <Field label="Kind" error={errors.kind}>
          <Controller
            name="kind"
            control={control}
            render={({ field }) => (
              <Choice label="Kind of target" value={field.value} onChange={field.onChange}>
                {[
                  ['acos', 'ACOS'],
                  ['margin', 'margin after ads'],
                ]}
              </Choice>
            )}
          />
        </Field>
        <Field label="Target" error={errors.low}>
          <Controller
            name="low"
            control={control}
            rules={{
              validate: (low, { kind }) =>
                low === null ? 'Type a target.' : kind === 'acos' && low <= 0 ? 'More than 0 %.' : true,
            }}
            render={({ field }) => (
              <ShareField
                label="Target"
                isLabelled={false}
                share={field.value}
                most={MOST}
                onShare={field.onChange}
                onNone={() => field.onChange(null)}
              />
            )}
          />
        </Field>
        <Field label="Up to, for a range" error={errors.high}>
          <Controller
            name="high"
            control={control}
            rules={{
              validate: (high, { low }) =>
                high === null || low === null || high >= low || 'Not less than the target.',
            }}
            render={({ field }) => (
              <ShareField
                label="Up to"
                isLabelled={false}
                share={field.value}
                most={MOST}
                onShare={field.onChange}
                onNone={() => field.onChange(null)}
              />
            )}
          />
        </Field>
        <Button type="submit" variant="contained" disabled={isSubmitting}>
          Set
        </Button>
      </div>
      {errors.root && (
        <span role="alert" className="over">
          {errors.root.message}
        </span>
      )}
    </form>
  );
}
