import Button from '@mui/material/Button';
import { Controller, useForm } from 'react-hook-form';
import { freeName, nameByPattern, stemOf, USUAL_PATTERN } from '../../core/routes';
import type { KeywordMatch } from '../../core/matching';
import type { Campaign } from '../../core/structure';
import type { HomeRequest } from '../../contract/routes';
import { MICROS_PER_UNIT } from '../../core/units';
import { useRemembered } from '../shared/useRemembered';
import { Choice, Field, MoneyField, TextBox, showFaults } from '../shared/kit';
import type { Option } from '../shared/kit';

export type HomeKind = KeywordMatch | 'items';

interface HomeFormProps {
  product: { id: number; name: string };
  /** Campaigns of the product that have not ended; and all names that campaigns have. */
  campaigns: Campaign[];
  names: ReadonlySet<string>;
  currency: string;
  /** What the market takes bids on. */
  kinds: readonly HomeKind[];
  /** @throws what the request is refused for */
  onMake: (home: Omit<HomeRequest, 'account'>) => Promise<unknown>;
  onClose: () => void;
}

const NEW = 'new';
const CENT = MICROS_PER_UNIT / 100;
const FIELDS = {
  name: 'pattern',
  'campaign.name': 'pattern',
  'campaign.budget': 'budget',
  'campaign.id': 'campaign',
  defaultBid: 'defaultBid',
} as const;

/** A home that is not there yet: an ad group, in a campaign of the product or in a new one, named by a pattern. */
export function HomeForm({ product, campaigns, names, currency, kinds, onMake, onClose }: HomeFormProps) {
  const [kept, keepPattern] = useRemembered('home-pattern', USUAL_PATTERN);
  const { control, handleSubmit, setError, watch, formState } = useForm({
    defaultValues: {
      kind: 'exact' as HomeKind,
      campaign: NEW,
      pattern: kept,
      budget: 10 * MICROS_PER_UNIT,
      defaultBid: MICROS_PER_UNIT / 2,
    },
  });
  const { errors, isSubmitting } = formState;
  const { kind, campaign, pattern } = watch();
  const stem = stemOf(
    campaigns.map(({ name }) => name),
    product.name,
  );
  const named = nameByPattern(pattern, { product: product.name, stem, match: kind });
  const name = campaign === NEW ? freeName(named, names) : named;
  const make = handleSubmit(async ({ budget, defaultBid }) => {
    keepPattern(pattern);
    try {
      await onMake({
        productId: product.id,
        name: campaign === NEW ? kind : name,
        defaultBid,
        campaign: campaign === NEW ? { name, budget } : { id: Number(campaign) },
      });
    } catch (error) {
      showFaults(error as Error, setError, FIELDS);
    }
  });
  return (
    <form
      data-may="decide"
      aria-label="New home"
      className="ruledForm"
      onSubmit={(event) => void make(event)}
    >
      <div className="fields">
        <Field label="A home of" error={errors.kind}>
          <Controller
            name="kind"
            control={control}
            render={({ field }) => (
              <Choice label="A home of" value={field.value} onChange={field.onChange}>
                {kinds.map((one): Option => [one, one === 'items' ? 'items' : `${one} keywords`])}
              </Choice>
            )}
          />
        </Field>
        <Field label="In" error={errors.campaign}>
          <Controller
            name="campaign"
            control={control}
            render={({ field }) => (
              <Choice label="in" value={field.value} onChange={field.onChange}>
                {[[NEW, 'a campaign of its own'], ...campaigns.map((one): Option => [one.id, one.name])]}
              </Choice>
            )}
          />
        </Field>
        <Field label="Named by" error={errors.pattern}>
          <Controller
            name="pattern"
            control={control}
            rules={{ validate: () => name !== '' || 'The pattern gives no name.' }}
            render={({ field }) => (
              <TextBox
                aria-label="Pattern of the name"
                title="{stem}: what the campaigns’ names begin with; {product}; {match}"
                letters={22}
                value={field.value}
                onChange={field.onChange}
              />
            )}
          />
        </Field>
        {campaign === NEW && (
          <Field label="Budget a day" error={errors.budget}>
            <Controller
              name="budget"
              control={control}
              render={({ field }) => (
                <MoneyField
                  label="Budget a day"
                  isLabelled={false}
                  micros={field.value}
                  currency={currency}
                  least={CENT}
                  step={MICROS_PER_UNIT}
                  onMicros={field.onChange}
                />
              )}
            />
          </Field>
        )}
        <Field label="Default bid" error={errors.defaultBid}>
          <Controller
            name="defaultBid"
            control={control}
            render={({ field }) => (
              <MoneyField
                label="Default bid"
                isLabelled={false}
                micros={field.value}
                currency={currency}
                least={CENT}
                onMicros={field.onChange}
              />
            )}
          />
        </Field>
      </div>
      <div className="bar">
        <strong>{name || 'no name yet'}</strong>
        {errors.root && (
          <span role="alert" className="over">
            {errors.root.message}
          </span>
        )}
        <span className="room" />
        <Button onClick={onClose}>Close</Button>
        <Button type="submit" variant="contained" disabled={name === '' || isSubmitting}>
          Stage this home
        </Button>
      </div>
    </form>
  );
}
