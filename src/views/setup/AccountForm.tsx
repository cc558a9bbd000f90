import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { Controller, useForm } from 'react-hook-form';
import { navigate } from 'wouter/use-browser-location';
import { api } from '../shared/api';
import { pageLink } from '../shared/frame/pages';
import { Field, Finder, ShareField, TextBox, showFaults } from '../shared/kit';

const ZONES = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, words: zone }));
const USUAL = {
  name: '',
  currency: 'EUR',
  // Nobody's target can be guessed.
  targetAcos: null as number | null,
  timezone: Intl.DateTimeFormat().resolvedOptions().timeZone,
};
const FIELDS = {
  name: 'name',
  currency: 'currency',
  targetAcos: 'targetAcos',
  timezone: 'timezone',
} as const;

/** Makes an account that is fed by files. */
export function AccountForm({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const { control, register, handleSubmit, setError, formState } = useForm({ defaultValues: USUAL });
  const { errors, isSubmitting } = formState;
  const make = handleSubmit(async (values) => {
    try {
      const account = await api.createAccount({
        ...values,
        targetAcos: values.targetAcos!,
        currency: values.currency.toUpperCase(),
      });
      await client.invalidateQueries({ queryKey: ['accounts'] });
      onClose();
      navigate(pageLink('setup', account.id));
    } catch (error) {
      showFaults(error as Error, setError, FIELDS);
    }
  });
  return (
    <form aria-label="New account" className="framed" onSubmit={(event) => void make(event)}>
      <div className="fields">
        <Field label="Name" error={errors.name}>
          <TextBox
            autoFocus
            aria-label="Name"
            maxLength={80}
            {...inputOf(register('name', { required: 'An account needs a name.' }))}
          />
        </Field>
        <Field label="Currency" error={errors.currency}>
          <TextBox
            aria-label="Currency"
            letters={5}
            maxLength={3}
            {...inputOf(
              register('currency', {
                pattern: { value: /^[A-Za-z]{3}$/, message: 'Three letters, for instance EUR.' },
              }),
            )}
          />
        </Field>
        <Field label="Target ACOS" error={errors.targetAcos}>
          <Controller
            name="targetAcos"
            control={control}
            rules={{
              validate: (share) =>
                share !== null || 'What may ads cost of their sales? A target ACOS is needed.',
            }}
            render={({ field }) => (
              <ShareField
                label="Target ACOS"
                isLabelled={false}
                share={field.value}
                least={0.001}
                most={10}
                onShare={field.onChange}
              />
            )}
          />
        </Field>
        <Field label="Time zone of its days" error={errors.timezone}>
          <Controller
            name="timezone"
            control={control}
            render={({ field }) => (
              <Finder label="Time zone" value={field.value} onChange={field.onChange}>
                {ZONES}
              </Finder>
            )}
          />
        </Field>
      </div>
      <div className="bar">
        <Button type="submit" variant="contained" disabled={isSubmitting}>
          Make the account
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {errors.root && (
          <span role="alert" className="over">
            {errors.root.message}
          </span>
        )}
      </div>
    </form>
  );
}

/** What the form library gives for a field, as our text box takes it. */
function inputOf({ ref, ...rest }: ReturnType<ReturnType<typeof useForm>['register']>) {
  return { ...rest, inputRef: ref };
}
