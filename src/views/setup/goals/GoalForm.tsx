import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Controller, useForm } from 'react-hook-form';
import type { Control, FieldError } from 'react-hook-form';
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
/** ACOS and margins beyond these are slips of the hand, shares. */
const MOST = 10;
const LEAST_MARGIN = -0.99;

interface GoalFormProps {
  scopes: Scope[];
  /** @throws what the request is refused for */
  onSet: (goal: Goal) => Promise<unknown>;
}

/** Sets a target on a line, product, campaign or ad group: an ACOS or a margin, a value or a range. */
export function GoalForm({ scopes, onSet }: GoalFormProps) {
  const { control, handleSubmit, setError, reset, watch, formState } = useForm<Values>({
    defaultValues: EMPTY,
  });
  const { errors, isSubmitting } = formState;
  // What ads leave may be wanted below nothing: a product is pushed at a loss.
  const least = watch('kind') === 'margin' ? LEAST_MARGIN : 0;
  const share = (name: 'low' | 'high', label: string) => ({
    name,
    label,
    least,
    control,
    error: errors[name],
  });
  const set = handleSubmit(async ({ scope, kind, low, high }) => {
    try {
      await onSet({ scope: scope!.scope, scopeId: scope!.id, kind, low: low!, high: high ?? low! });
      reset(EMPTY);
    } catch (error) {
      showFaults(error as Error, setError, FIELDS);
    }
  });
  return (
    <form
      data-may="decide"
      aria-label="Set a target"
      className="framed"
      onSubmit={(event) => void set(event)}
    >
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
        <ShareOf
          {...share('low', 'Target')}
          rules={{
            validate: (low, { kind: of }) =>
              low === null ? 'Type a target.' : of === 'acos' && low <= 0 ? 'More than 0 %.' : true,
          }}
        />
        <ShareOf
          {...share('high', 'Up to, for a range')}
          rules={{
            validate: (high, { low }) =>
              high === null || low === null || high >= low || 'Not less than the target.',
          }}
        />
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

interface ShareOfProps {
  name: 'low' | 'high';
  label: string;
  least: number;
  control: Control<Values>;
  error: FieldError | undefined;
  rules: { validate: (value: number | null, values: Values) => string | boolean };
}

/** One end of the target. */
function ShareOf({ name, label, least, control, error, rules }: ShareOfProps) {
  return (
    <Field label={label} error={error}>
      <Controller
        name={name}
        control={control}
        rules={rules}
        render={({ field }) => (
          <ShareField
            label={label}
            isLabelled={false}
            share={field.value}
            least={least}
            most={MOST}
            onShare={field.onChange}
            onNone={() => field.onChange(null)}
          />
        )}
      />
    </Field>
  );
}
