import Button from '@mui/material/Button';
import { useState } from 'react';
import { freeName, nameByPattern, stemOf, USUAL_PATTERN } from '../../core/routes';
import type { Campaign } from '../../core/structure';
import type { HomeRequest } from '../../contract/routes';
import { MICROS_PER_UNIT, toMicros } from '../../core/units';
import { NumberField } from '../shared/NumberField';
import { useRemembered } from '../shared/useRemembered';
import { Choice } from '../shared/Choice';

interface HomeFormProps {
  product: { id: number; name: string };
  /** Campaigns of the product that have not ended; and all names that campaigns have. */
  campaigns: Campaign[];
  names: ReadonlySet<string>;
  currency: string;
  onMake: (home: Omit<HomeRequest, 'account'>) => void;
  onClose: () => void;
}

const KINDS = ['exact', 'phrase', 'broad', 'items'] as const;
const [FIRST_BUDGET, FIRST_BID] = [10_000_000, 500_000];

/** A home that is not there yet: an ad group, in a campaign of the product or in a new one, named by a pattern. */
export function HomeForm({ product, campaigns, names, currency, onMake, onClose }: HomeFormProps) {
  const [pattern, setPattern] = useRemembered('home-pattern', USUAL_PATTERN);
  const [kind, setKind] = useState<(typeof KINDS)[number]>('exact');
  const [campaign, setCampaign] = useState('new');
  const [budget, setBudget] = useState(FIRST_BUDGET);
  const [defaultBid, setBid] = useState(FIRST_BID);
  const stem = stemOf(
    campaigns.map(({ name }) => name),
    product.name,
  );
  const named = nameByPattern(pattern, { product: product.name, stem, match: kind });
  const name = campaign === 'new' ? freeName(named, names) : named;
  const make = () =>
    onMake({
      productId: product.id,
      name: campaign === 'new' ? kind : name,
      defaultBid,
      campaign: campaign === 'new' ? { name, budget } : { id: Number(campaign) },
    });
  return (
    <form
      aria-label="New home"
      style={{ borderTop: '1px solid var(--hairline)', padding: '10px 0', display: 'grid', gap: 8 }}
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      <div className="bar" style={ROW}>
        <Choice label="A home of" value={kind} onChange={(next) => setKind(next as typeof kind)}>
          {KINDS.map((one) => [one, one === 'items' ? 'items' : `${one} keywords`])}
        </Choice>
        <Choice label="in" value={campaign} onChange={setCampaign}>
          {[['new', 'a campaign of its own'], ...campaigns.map((one) => [one.id, one.name])]}
        </Choice>
        <label>
          <span className="faint">named by</span>{' '}
          <input
            aria-label="Pattern of the name"
            title="{stem}: what the campaigns’ names begin with; {product}; {match}"
            size={22}
            value={pattern}
            onChange={(event) => setPattern(event.target.value)}
          />
        </label>
        <strong style={{ fontWeight: 600 }}>{name || 'no name yet'}</strong>
      </div>
      <div className="bar" style={ROW}>
        {campaign === 'new' && (
          <NumberField
            label={`${currency} a day`}
            value={budget / MICROS_PER_UNIT}
            min={0.01}
            step={1}
            onChange={(value) => setBudget(toMicros(value))}
          />
        )}
        <NumberField
          label={`${currency} default bid`}
          value={defaultBid / MICROS_PER_UNIT}
          min={0.01}
          step={0.01}
          onChange={(value) => setBid(toMicros(value))}
        />
        <span style={{ flex: 1 }} />
        <Button onClick={onClose}>Close</Button>
        <Button type="submit" variant="contained" disabled={name === ''}>
          Stage this home
        </Button>
      </div>
    </form>
  );
}

const ROW = { flexWrap: 'wrap', gap: '8px 14px' } as const;
